# frozen_string_literal: true

module Sandbag
  module Rig
    # A lever gauge held to a simulated circuit that runs: one slow pull and back, as the file that a gauge would write,
    # with the gauge's own noise. The circuit itself is left as it was.
    class LeverPull
      # Rows of a pull in. [default]
      ROWS = 480
      # Steps in which the lever is tried first, to see how far it will come.
      TRIED = 200

      # @param rig [Simulation]; top_n [Float] the firmest pull; seed [String] another one, another noise
      def initialize(rig, top_n:, seed:)
        @rig = rig
        @top_n = top_n
        @random = Rig.random("#{seed}/pull")
        freeze
      end

      # @return [String] force_n, travel_mm a line
      def csv
        LeverGauge.file(read, @random)
      end

      # @return [Array<Array(Float, Float)>] N and mm, without noise; in, and back out
      def read
        rig = rested
        first, last = reach(rested)
        pulled = (0..ROWS).map { |row| at(rig, first + (last - first) * row / ROWS) }
        rubbed(pulled, rig.faults.rubs_n) + rubbed(pulled.reverse, -rig.faults.rubs_n)
      end

      private

      # What rubs is pressed against going in, and holds the lever going out.
      def rubbed(pulled, rubs_n)
        pulled.map { |force, travel| [force.positive? ? [force + rubs_n, 0.0].max : force, travel] }
      end

      # Let go, and left until nothing moves.
      def rested
        @rig.snapshot.act("do" => "lever", "to" => 0, "s" => 1).act("do" => "wait", "s" => 2)
      end

      # @return [Array(Float, Float)] mm at which the lever first pushes back, and at which it does so firmly enough
      def reach(rig)
        tried = (1..TRIED).map { |step| at(rig, rig.travel_mm * step / TRIED).reverse }
        first = tried.find { |_, force| force.positive? } || tried.last
        [first.first, (tried.find { |_, force| force >= @top_n } || tried.last).first]
      end

      def at(rig, travel_mm)
        rig.act("do" => "lever", "to" => [travel_mm, rig.travel_mm].min, "s" => Simulation::STEP_S)
        [rig.force_n, travel_mm]
      end
    end
  end
end
