# frozen_string_literal: true

module Sandbag
  module Fit
    # Seals of every joint this job opened, old ones out and new ones in: hose ends + 1 crush washers on a banjo bolt
    # (docs/physics.md 9), square-section seals where the banjo takes those, an olive and an insert on a cut hose.
    class Washers
      # @attr at [String] id of the part it is at; wanted [Integer]; kind [String] washers, seals or olives;
      #   old, new [Integer, nil] as counted; out [Integer, nil] as the tray has them
      Stack =
        Struct.new(:at, :label, :hoses, :wanted, :kind, :old, :new, :out, keyword_init: true) do
          def done?
            new == wanted
          end

          # @return [String, nil] what is still to do, or what is wrong
          def due
            name = Wording.inside(label)
            return if done?
            return "#{name}: #{kind} counted, old out and new in" unless new
            "#{name}: #{new} new #{kind} went in, #{wanted} belong there"
          end

          # @return [String, nil] what to look for, where the old ones do not add up
          def warning
            expected = out || wanted
            return if old.nil? || old == expected
            if old < expected
              return "#{old} old washers, #{expected} expected: one may stick to the hose end or in the port."
            end
            "#{old} old washers, #{expected} expected: there was one too many."
          end
        end

      attr_reader :stacks

      # @param entries [Job::Entries] of fit; joints [Array<Circuit::Place>] opened
      # @param tray [Cylinder::Tray]
      def initialize(entries, joints, tray)
        @counted = entries.by("washers", "joint")
        @stacks = joints.select(&:counted).map { |joint| stack(joint, tray) }.freeze
        freeze
      end

      # @return [Array<String>]
      def due(phase)
        (phase == "before") ? stacks.filter_map(&:due) : []
      end

      # Refuses a joint that was not opened, and halves.
      def admit(data)
        unless stacks.any? { |stack| stack.at == data["joint"] }
          raise Refusal.at("data/joint", "“#{data["joint"]}” was not opened here", stacks.map(&:at).join(", "))
        end
        odd = %w[old new].find { |name| data[name] != data[name].round }
        raise Refusal.at("data/#{odd}", "#{data[odd]} cannot be counted", "a whole number") if odd
      end

      private

      def stack(joint, tray)
        counted = @counted[joint.at] || {}
        Stack.new(at: joint.at, label: joint.label, hoses: joint.hoses, kind: joint.counted,
          wanted: joint.olives.nonzero? || joint.washers, old: counted["old"]&.round, new: counted["new"]&.round,
          out: came_out(joint, tray)).freeze
      end

      def came_out(joint, tray)
        out = tray.out("crush_washer") if joint.at == Circuit::Topology::ROOT && joint.washers.positive?
        out if out&.positive?
      end
    end
  end
end
