# frozen_string_literal: true

module Sandbag
  module Rig
    # A stand-in for a gauge at the lever: one pull and back on a circuit that fits the record, with what such a circuit
    # may hide (air, a hose softer than the table, seals that rub, early give, a spring that is not the default's), as
    # the file that a gauge would write. The same seed hides the same.
    class LeverGauge
      NAME = "lever gauge"
      ROWS = 240
      # How much may be hidden.
      AIR_ML = 0.02
      SOFTER = 0.15
      RUBS_N = 4.0
      GIVE_SHARE = 0.02
      SPRING = 0.2
      # What the gauge reads to.
      NOISE_N = 0.4
      NOISE_MM = 0.04

      # @param circuit [Hydraulics::Circuit]; top_n [Float] the firmest pull; seed [String]
      def initialize(circuit, top_n:, seed:)
        @circuit = circuit
        @top_n = top_n
        @hidden = Rig.random("#{seed}/lever")
        @air_ml, @softer, @rubs_n, @give_ml, @spring =
          [AIR_ML * share, 1 + SOFTER * share, RUBS_N * share, GIVE_SHARE * share * circuit.budget.gap_ml,
            1 + SPRING * (2 * share - 1)]
        @seed = seed
        freeze
      end

      # @param turn [Integer] another pull, another noise
      # @return [String] force_n, travel_mm a line
      def csv(turn)
        random = Rig.random("#{@seed}/pull #{turn}")
        forces = (1..ROWS).map { |row| @top_n * row / ROWS }
        lines = (forces.map { |force| [force + @rubs_n, force] } + forces.reverse.map { |force|
          [force - @rubs_n, force]
        })
          .map { |shown, force| [shown, travel_mm(force)] }
        LeverGauge.file(lines, random)
      end

      # @param rows [Array<Array(Float, Float)>] N and mm that are there; random [Random]
      # @return [String] as a gauge would write them: force_n, travel_mm a line, each with its noise
      def self.file(rows, random)
        lines = rows.map do |force, travel|
          format("%.1f,%.2f", [force + NOISE_N * Rig.noise(random), 0].max,
            [travel + NOISE_MM * Rig.noise(random), 0].max)
        end
        ["force_n,travel_mm", *lines].join("\n")
      end

      # Over the reference force, so that the curve is read to it and past it.
      FIRM = 1.1

      # @return [Float] N of the firmest pull that is worth reading
      def self.top_n(sheet, circuit)
        FIRM * Sandbag::Circuit::Reference.force_n(sheet, circuit)
      end

      private

      def share
        @hidden.rand
      end

      def travel_mm(force_n)
        lever, master = @circuit.lever, @circuit.master
        sprung = master.with(preload_n: @spring * master.preload_n)
        pressure = sprung.pressure_mpa(force_n, lever)
        budget = @circuit.budget
        given_ml = @give_ml * (1 - Math.exp(-10 * pressure))
        volume = budget.gap_ml + @softer * budget.stiffness_ml_mpa * pressure + given_ml +
          Hydraulics::VolumeBudget.air_taken_ml(@air_ml, pressure)
        lever.travel_mm(master.stroke_for_mm(volume))
      end
    end
  end
end
