# frozen_string_literal: true

module Sandbag
  module Job
    # What the record has of the other circuits of the same machine. A control that works on the same far end is not
    # one of them. Equal where the record has the same.
    class OtherCircuits
      # @attr name [String]; kind [String] of circuit_kinds.yml; abs [String, nil] as it was entered; fluid_due_on
      #   [String, nil] ISO 8601
      Line = Struct.new(:name, :kind, :abs, :fluid_due_on)

      attr_reader :lines

      # @param rows [Array<Hash>] of Line; one whose kind is not known is left out
      def initialize(rows = [])
        @lines = rows.map { |row| Line.new(*row.values_at(:name, :kind, :abs, :fluid_due_on)).freeze }
          .select { |line| Circuit::Kind.find(line.kind) }.freeze
        freeze
      end

      # @return [Array<Line>]
      def brakes
        lines.reject { |line| Circuit::Kind.find(line.kind).clutch? }
      end

      # @param today [Date]
      # @return [Array<Line>] brakes whose fluid is to be changed by now; a day that is none counts for nothing
      def due(today)
        brakes.select { |line| Day.iso?(line.fluid_due_on.to_s) && Date.iso8601(line.fluid_due_on) <= today }
      end

      # One of them has ABS. Where one has none, this one may still have it: some machines have it on one wheel only.
      def abs?
        brakes.any? { |line| line.abs == "fitted" }
      end

      def ==(other)
        other.is_a?(OtherCircuits) && lines == other.lines
      end
    end
  end
end
