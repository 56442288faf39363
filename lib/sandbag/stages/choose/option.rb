# frozen_string_literal: true

module Sandbag
  module Choose
    # One thing to try on a circuit: another cylinder, and changes to other parts ("what if braided", "what if a 30
    # slave").
    class Option
      attr_reader :key, :label, :sheet, :circuit

      # @param sheet [Circuit::Sheet] the circuit as it is
      # @param circuit [Hydraulics::Circuit, nil] the same assembled, so that many plain cylinders cost little
      # @param bore_mm [Float, nil] nil keeps the fitted bore; so with the push offset
      # @param changes [Array<Array(String, String, Object)>] part id, field, value as typed
      # @param key [String, nil] what the asker calls it
      # Refuses, by field path, what the sheet refuses.
      def initialize(sheet, circuit: nil, bore_mm: nil, push_offset_mm: nil, changes: [], label: nil, key: nil)
        @sheet =
          changes.reduce(sheet) { |changed, (part, field, value)| changed.change(part, field, value, "estimate") }
        @circuit = (circuit if changes.empty?) || Circuit::Assembly.build(@sheet)
        @bore_mm = bore_mm&.to_f
        @push_offset_mm = push_offset_mm&.to_f
        @label = label
        @key = key || format("%gx%g", self.bore_mm, self.push_offset_mm)
        freeze
      end

      def bore_mm
        @bore_mm || circuit.master.bore_mm
      end

      def push_offset_mm
        @push_offset_mm || circuit.lever.push_offset_mm
      end

      # @return [Candidate]
      def candidate
        Candidate.new(circuit, bore_mm: bore_mm, push_offset_mm: push_offset_mm)
      end

      # @return [Float] MPa that the target needs on this circuit
      def pressure_mpa
        Circuit::Reference.pressure_mpa(sheet, circuit)
      end
    end
  end
end
