# frozen_string_literal: true

module Sandbag
  module Circuit
    # What a circuit amounts to, for the machine page: every value with its source, and what follows from them.
    class Summary
      # Shares of the reference force at which the lever is computed.
      LOADS = [0.25, 0.5, 1.0, 1.5].freeze

      def initialize(sheet)
        @sheet = sheet
        @circuit = Assembly.build(sheet)
      end

      # @return [Hash] parts with values, ratios, working point, loads, curve
      def to_h
        reference_n = Reference.force_n(@sheet, @circuit)
        {
          kind: @sheet.kind,
          parts: @sheet.parts.map { |part| part_view(part) },
          lever_ratio: @circuit.lever.ratio,
          force_ratio: @circuit.force_ratio,
          volume_ratio: @circuit.volume_ratio,
          fluid_ml: @circuit.fluid_ml,
          stroke_ml: @circuit.master.volume_per_stroke_ml,
          reference: {force_n: reference_n, pressure_mpa: @circuit.pressure_mpa(reference_n), why: Reference.why(@sheet)},
          loads: LOADS.map { |share| load_view(reference_n * share) },
          curve: Hydraulics::LeverCurve.points(@circuit, up_to_n: reference_n * LOADS.last)
        }
      end

      private

      def load_view(force_n)
        pressure_mpa = @circuit.pressure_mpa(force_n)
        {force_n: force_n, pressure_mpa: pressure_mpa, stroke_mm: @circuit.stroke_mm(pressure_mpa), travel_mm: @circuit.travel_mm(pressure_mpa)}
      end

      def part_view(part)
        values = @sheet.values(part).values.map do |value|
          field = value.field
          {field: field.name, label: field.label, type: field.type, unit: field.unit, choices: field.choices,
           value: value.value, source: value.source, note: field.note}.compact
        end
        {id: part["id"], part: part["part"], label: part["label"], from: part["from"], values: values}.compact
      end
    end
  end
end
