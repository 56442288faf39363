# frozen_string_literal: true

module Sandbag
  module Rig
    # A stand-in for a gauge at the lever: what it is called, how it scatters, how its file looks, and how far a pull
    # goes that is worth reading.
    module LeverGauge
      NAME = "lever gauge"
      NOISE_N = 0.4
      NOISE_MM = 0.04
      # Over the reference force, so that the curve is read to it and past it.
      FIRM = 1.1

      # @param rows [Array<Array(Float, Float)>] N and mm that are there; random [Random]
      # @return [String] as a gauge would write them: force_n, travel_mm a line, each with its noise
      def self.file(rows, random)
        lines = rows.map do |force, travel|
          format("%.1f,%.2f", [force + NOISE_N * Rig.noise(random), 0].max,
            [travel + NOISE_MM * Rig.noise(random), 0].max)
        end
        ["force_n,travel_mm", *lines].join("\n")
      end

      # @return [Float] N of the firmest pull that is worth reading
      def self.top_n(sheet, circuit)
        FIRM * Sandbag::Circuit::Reference.force_n(sheet, circuit)
      end
    end
  end
end
