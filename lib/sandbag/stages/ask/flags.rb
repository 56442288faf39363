# frozen_string_literal: true

module Sandbag
  module Ask
    # Everything that stops a job or holds its release now: red flags, and what the ABS gate says of the route that
    # was chosen. A flag that the chosen route cures lets that work go on; the machine stays where it is until the
    # cure is confirmed.
    class Flags
      include Enumerable

      # @attr row [Hash] of red_flags.yml or abs_gate.yml; liftable [Boolean] a lead may lift it; lifting [Hash, nil]
      #   lead, reason; cured [Boolean] this job said so; holds_work [Boolean] nothing goes on while it is up
      Flag = Struct.new(:row, :label, :liftable, :lifting, :cured, :holds_work, keyword_init: true) do
        def id
          row["id"]
        end

        def up?
          lifting.nil? && !cured
        end

        # The machine stays, the work goes on.
        def standing?
          up? && !holds_work
        end

        # @return [String] what it is and what has to be done
        def says
          "#{label}. #{row["does"]}"
        end
      end

      # @param findings [Findings]; facts [Hash]
      # @param reported [Hash{String => Array<Hash>}] id of a flag the mechanic reported => parts that it is about
      # @param liftings [Liftings]; route [Job::Route, nil] the one that was chosen
      # @param at [Array<Circuit::Place>] where it works; opens [String] see Where#side
      def initialize(findings, facts, reported:, liftings:, route:, at:, opens:)
        @findings = findings
        @facts = facts
        @liftings = liftings
        @reported = reported
        red =
          RedFlag
            .up(findings, facts, reported.keys)
            .map { |row| flag(row, label(row), !row["by_facts"], holds_work?(row, route, at)) }
        @gate = AbsGate.decide(findings, facts, opens) if route && !route.stops?
        gates =
          if gate && gate["decision"] != AbsGate::PASSES
            [flag(gate, gate["says"].delete_suffix("."), gate["decision"] == "block", true)]
          else
            []
          end
        @flags = (red + gates).freeze
        freeze
      end

      # @return [Hash, nil] row of abs_gate.yml that decides on the chosen route
      attr_reader :gate

      def each(&)
        @flags.each(&)
      end

      # @return [Flag, nil] the first that nothing goes on under
      def up
        find { |flag| flag.up? && flag.holds_work }
      end

      # @return [Array<Flag>] those that hold the release and not the work
      def standing
        select(&:standing?)
      end

      # @return [Array<String>] ids that a lead may lift now; what only holds the release is confirmed as cured under
      #   Close
      def liftable
        select { |flag| flag.up? && flag.liftable && flag.holds_work }.map(&:id)
      end

      # @param route [Job::Route]
      # @return [Flag, nil] the first red flag that is up and would hold the work of a route
      def holding(route)
        find { |flag| flag.up? && flag.row.key?("cures") && holds_work?(flag.row, route, []) } unless route.stops?
      end

      private

      def label(row)
        parts = @reported.fetch(row["id"], []).map { |part| Circuit::Places.inside(part) }
        [row["label"], *(parts.join(", ") if parts.any?)].join(": ")
      end

      def flag(row, label, liftable, holds_work)
        Flag.new(
          row: row,
          label: label,
          liftable: liftable,
          lifting: @liftings.of(row),
          cured: @liftings.cured?(row),
          holds_work: holds_work
        ).freeze
      end

      def holds_work?(row, route, at)
        row["holds"] == "work" && (route.nil? || !row["cures"].include?(route.id) || refers?(row) ||
          @reported.fetch(row["id"], []).any? { |part| !reaches?(route, at, part) })
      end

      def refers?(row)
        row.key?("refers") && @findings.meet?(row["refers"], @facts)
      end

      # A repair that works at places reaches the part where it works; the others work on the master.
      def reaches?(route, at, part)
        return part["part"] == "master" if route.at.empty?
        at.empty? || at.any? { |place| place.part["id"] == part["id"] }
      end
    end
  end
end
