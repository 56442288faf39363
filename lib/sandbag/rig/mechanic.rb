# frozen_string_literal: true

module Sandbag
  module Rig
    # A good hand at a simulated circuit: hold, open, close, let go, the reservoir topped up in time, the farthest end
    # first, until nothing comes any more. What it takes is what a learner's work is held against.
    class Mechanic
      # Turns the nipple is opened by, and how long each part of a cycle takes, s. [default]
      TURNS = 0.25
      PRESS_S = 0.5
      STROKE_S = 1.5
      RETURN_S = 0.5
      PAUSE_S = 1.0
      # Share of the lever's way at which the nipple is opened.
      HELD = 0.5
      # Topped up when less than this share is left above the port.
      LOW = 0.4
      # What the line holds and a fifth more, since a bubble climbs back between strokes, and this many cycles without
      # one. [default]
      LINES = 1.2
      CLEAN_CYCLES = 3
      MOST_CYCLES = 60

      # @param rig [Simulation] to work on
      def initialize(rig)
        @rig = rig
        @full_ml = rig.reservoir_full_ml
      end

      # @return [Simulation] as it is left
      def bleed
        @rig.plumbing.paths.sort_by { |path| -path.length_mm }.each { |path| bleed_end(path.id) }
        @rig
      end

      # One end, until it runs clean.
      def bleed_end(id)
        clean = 0
        path = @rig.plumbing.find(id)
        wanted = LINES * path.legs.sum { |leg| leg.area_mm2 * (leg.to_mm - leg.from_mm) / 1000 }
        start = @rig.jar_ml
        MOST_CYCLES.times do
          out = @rig.air_out_ml
          cycle(id)
          clean = (@rig.air_out_ml - out > 1e-6) ? 0 : clean + 1
          break if clean >= CLEAN_CYCLES && @rig.jar_ml - start >= wanted
        end
      end

      # @param id [String] of a far end
      def cycle(id)
        top_up
        @rig.act("do" => "lever", "to" => @rig.travel_mm * HELD, "s" => PRESS_S)
        @rig.act("do" => "nipple", "end" => id, "turns" => TURNS)
        @rig.act("do" => "lever", "to" => @rig.travel_mm, "s" => STROKE_S)
        @rig.act("do" => "nipple", "end" => id, "turns" => 0)
        @rig.act("do" => "lever", "to" => 0, "s" => RETURN_S)
        @rig.act("do" => "wait", "s" => PAUSE_S)
      end

      private

      def top_up
        @rig.act("do" => "pour", "ml" => @full_ml - @rig.reservoir_ml) if @rig.reservoir_ml < LOW * @full_ml
      end
    end
  end
end
