# frozen_string_literal: true

module Sandbag
  module Rig
    # A good hand at a simulated circuit, by one of the ways to bleed: the reservoir kept, the farthest end first, until
    # nothing comes any more. What it takes is what a learner's work is held against.
    class Mechanic
      # Ways to bleed that it knows, of bleed_methods.yml: those that need nothing but lever, nipple, syringe, vacuum or
      # pressure on the reservoir, which does what a vacuum at the nipple does.
      WAYS = %w[
        hold_cycle hand_vacuum power_vacuum pressure_cap gravity_start reverse_syringe two_syringe
      ].freeze
      # What moves the fluid, and the cycle that it is worked by.
      CYCLES = {"stroke" => :stroke, "head" => :draw, "syringe" => :push}.freeze
      # How long each part of a cycle takes, s; what moves the fluid, how hard and how long, and how far the nipple is
      # opened, is the table's. [default]
      PRESS_S = 0.5
      RETURN_S = 0.5
      PAUSE_S = 1.0
      # Share of the lever's way at which the nipple is opened.
      HELD = 0.5
      # Topped up when less than this share is left above the port; drawn down, while it is pushed from below, to this.
      LOW = 0.4
      # Share of the reservoir that is pushed in before it is drawn down again.
      PIECE = 0.5
      # How long a vacuum is kept, and how often the level is looked at meanwhile, s; what a syringe gives before it is,
      # mL. [default]
      VACUUM_S, LOOK_S, LOOK_ML = 1.0, 0.04, 2.0
      # What the line holds and a fifth more, since a bubble climbs back between strokes, and this many cycles without
      # one; a push fills the line by itself. [default]
      LINES = 1.2
      CLEAN = {stroke: 3, draw: 3, push: 1}.freeze
      # Cycles after which it gives up; a draw is a second long. [default]
      MOST = {stroke: 60, draw: 200, push: 60}.freeze

      # @param rig [Simulation] to work on; way [String] of WAYS; fresh [Float] how fresh the fluid has to come, 0 to 1
      # @param most [Integer, nil] openings of each nipple
      def initialize(rig, way: "hold_cycle", fresh: 0.0, most: nil)
        @rig = rig
        @fresh = fresh
        @most = most
        raise Refusal.at("way", "no hand here bleeds by “#{way}”", WAYS.join(", ")) unless WAYS.include?(way)
        method = Knowledge.find("bleed_methods", way)
        @drive = method["drive"]
        @turns = Knowledge.find("nipple_openings", method["opening"])["turns"]
        @cycle = CYCLES.fetch(@drive["by"])
        @full_ml = rig.reservoir_full_ml
      end

      # @return [Simulation] as it is left
      def bleed
        @rig.plumbing.paths.sort_by { |path| -path.length_mm }.each { |path| bleed_end(path.id) }
        @rig
      end

      # One end, until it runs clean and what the line holds has gone through.
      def bleed_end(id)
        clean = 0
        wanted = LINES * @rig.plumbing.find(id).volume_ml
        through = 0.0
        (@most || MOST[@cycle]).times do
          out, jar, poured = before = came
          send(@cycle, id)
          break if came == before
          through += (@cycle == :push) ? @rig.poured_ml - poured : @rig.jar_ml - jar
          clean = (@rig.air_out_ml - out > 1e-6) ? 0 : clean + 1
          break if clean >= CLEAN[@cycle] && through >= wanted && @rig.fresh_at(id) >= @fresh
        end
      end

      # Hold, open, close, let go.
      # @param id [String] of a far end
      def stroke(id)
        top_up
        act("lever", "to" => @rig.travel_mm * HELD, "s" => PRESS_S)
        act("nipple", "end" => id, "turns" => @turns)
        act("lever", "to" => @rig.travel_mm, "s" => @drive["seconds"])
        act("nipple", "end" => id, "turns" => 0)
        act("lever", "to" => 0, "s" => RETURN_S)
        act("wait", "s" => PAUSE_S)
      end

      private

      # @return [Array<Float>] mL of air and of fluid that came, and mL that went in
      def came
        [@rig.air_out_ml, @rig.jar_ml, @rig.poured_ml]
      end

      def act(what, **given)
        @rig.act({"do" => what, **given.transform_keys(&:to_s)})
      end

      # By head, and by what a vacuum adds to it.
      def draw(id)
        top_up
        act("nipple", "end" => id, "turns" => @turns)
        look = @drive["mpa"].zero? ? VACUUM_S : LOOK_S
        (VACUUM_S / look).round.times do
          act("draw", "mpa" => @drive["mpa"], "s" => look)
          top_up
        end
        act("nipple", "end" => id, "turns" => 0)
      end

      # In one go: the reservoir is drawn down while it is pushed.
      def push(id)
        act("nipple", "end" => id, "turns" => @turns)
        piece = [LOOK_ML, PIECE * @full_ml].min
        (@rig.plumbing.find(id).volume_ml.clamp(0.0, @drive["ml"]) / piece).ceil.times do
          act("take", "ml" => [@rig.reservoir_ml - LOW * @full_ml, 0.0].max)
          act("push", "end" => id, "ml" => piece, "s" => piece / @drive["ml_s"])
        end
        act("nipple", "end" => id, "turns" => 0)
        act("wait", "s" => PAUSE_S)
      end

      def top_up
        act("pour", "ml" => @full_ml - @rig.reservoir_ml) if @rig.reservoir_ml < LOW * @full_ml
      end
    end
  end
end
