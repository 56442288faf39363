# frozen_string_literal: true

module Sandbag
  module Ask
    # Everything that stops a job now: red flags, and what the ABS gate says of the route that was chosen; each with who lifted
    # it and why.
    class Flags
      include Enumerable

      # @attr row [Hash] of red_flags.yml or abs_gate.yml; liftable [Boolean] a lead may lift it; lifting [Hash, nil] lead, reason
      Flag = Struct.new(:row, :label, :liftable, :lifting, keyword_init: true) do
        def id
          row["id"]
        end

        def up?
          lifting.nil?
        end

        # @return [String] what it is and what has to be done
        def says
          "#{label}. #{row["does"]}"
        end
      end

      # @param findings [Findings]; facts [Hash]; reported [Array<String>] ids the mechanic reported
      # @param liftings [Liftings]; route [Job::Route, nil] the one that was chosen
      def initialize(findings, facts, reported:, liftings:, route:)
        raised = RedFlag.up(findings, facts, reported).map { |row| [row, row["label"], true] }
        gate = route && !route.stops? && AbsGate.decide(findings, facts, route.opens)
        raised << [gate, gate["says"].delete_suffix("."), gate["decision"] == "block"] if gate && gate["decision"] != AbsGate::PASSES
        @flags = raised.map { |row, label, liftable| Flag.new(row: row, label: label, liftable: liftable, lifting: liftings.of(row)).freeze }.freeze
        freeze
      end

      def each(&)
        @flags.each(&)
      end

      # @return [Flag, nil] the first that nobody has lifted
      def up
        find(&:up?)
      end

      # @return [Array<String>] ids that a lead may lift now
      def liftable
        select { |flag| flag.up? && flag.liftable }.map(&:id)
      end
    end
  end
end
