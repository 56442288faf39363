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
          .map { |shown, force| line(shown, travel_mm(force), random) }
        ["force_n,travel_mm", *lines].join("\n")
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

      def line(force, travel, random)
        noise = -> { Array.new(12) { random.rand }.sum - 6.0 }
        format("%.1f,%.2f", [force + NOISE_N * noise.call, 0].max, [travel + NOISE_MM * noise.call, 0].max)
      end
    end
  end
end
