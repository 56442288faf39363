# frozen_string_literal: true

module Sandbag
  module Close
    # Release gates and the signature.
    class Stage < Job::Stage
      # Gates that must stand before the function test: nothing is wheeled or ridden on an unproven lever.
      BEFORE_FUNCTION = %w[stop fluid measured built bled feel hold work leak level caps second].freeze

      # @attr row [Hash] of gates.yml; met [Boolean]; why [String, nil] why not
      Gate = Struct.new(:row, :met, :why, keyword_init: true) do
        def id
          row["id"]
        end

        def label
          row["label"]
        end

        def computed?
          row["settled"] == "computed"
        end
      end

      # @return [Array<Gate>] every gate that applies
      def gates
        @gates ||= Knowledge.table("gates").select { |row| applies?(row) }.map { |row| gate(row) }.freeze
      end

      # @return [Job::Entry, nil]
      def signature
        entries.last("signed")
      end

      def signed?
        !signature.nil?
      end

      def done?
        signed?
      end

      def ready?
        gates.all?(&:met)
      end

      def waits_for
        return if signed?
        open = gates.find { |gate| !gate.met }
        open ? Wording.inside(open.label) : "a signature"
      end

      # Refuses to confirm what is computed, a function test before the lever is proven, and a signature over an open gate.
      def admit(entry)
        (entry.kind == "gate") ? admit_gate(entry.data) : refuse_open(gates, "cannot be signed")
      end

      private

      # A gate about work the job does not touch is left out.
      def applies?(row)
        return false if row["only_opened"] && !job.ask.opened?
        return false if row["only_sole"] && !job.ask.second_person?
        row["stage"].nil? || job.stages.key?(row["stage"])
      end

      def gate(row)
        met, why = (row["settled"] == "computed") ? computed(row["id"]) : [confirmed?(row["id"]), nil]
        Gate.new(row: row, met: met, why: why).freeze
      end

      # @return [Array(Boolean, String)] whether a gate is open to the road, and why not
      def computed(id)
        feel = job.feel
        case id
        when "stop" then [job.stop.nil?, job.stop]
        when "fluid" then [job.choose.fluid_right?, ("no fluid chosen" unless job.choose.fluid)]
        when "measured" then [job.measure.done?, job.measure.waits_for]
        when "built" then [job.build.done?, job.build.waits_for]
        when "bled" then [job.bleed.done?, job.bleed.waits_for]
        when "feel" then [feel.passed?, (feel.unresolved || feel.waits_for unless feel.passed?)]
        when "hold" then [feel.held?, ("the hold test is still to do, or failed" unless feel.held?)]
        end
      end

      # A confirmation made before the last stroke no longer holds.
      def confirmed?(id)
        entry = entries.of("gate").reverse_each.find { |each| each.data["gate"] == id }
        !entry.nil? && entry.data["met"] && entry.position.to_i > job.bleed.last_disturbed.to_i
      end

      def admit_gate(data)
        gate = gates.find { |each| each.id == data["gate"] }
        raise Refusal.at("data/gate", "this job has no gate “#{data["gate"]}”", gates.map(&:id).join(", ")) unless gate
        raise Refusal.at("data/gate", "#{gate.label} is worked out, not confirmed", "a confirmed gate") if gate.computed?
        return unless data["gate"] == "function" && data["met"]
        refuse_open(gates.select { |each| BEFORE_FUNCTION.include?(each.id) }, "no function test yet")
      end

      def refuse_open(among, what)
        open = among.reject(&:met)
        return if open.empty?
        raise Refusal.new(open.map do |gate|
          Refusal::Problem.new(pointer: "gates/#{gate.id}", message: "#{what}: still open: #{Wording.inside(gate.label)}", accepted: gate.row["detail"])
        end)
      end
    end
  end
end
