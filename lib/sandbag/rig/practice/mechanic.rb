# frozen_string_literal: true

module Sandbag
  module Rig
    # A good hand at a simulated circuit, by one of the bleeding methods: the reservoir kept, the farthest end first,
    # until nothing comes any more. What it takes is what a learner's work is held against.
    class Mechanic
      # How long each part of a cycle takes, s; what moves the fluid, how hard and how long, and how far the nipple is
      # opened, is the table's. [default]
      PRESS_S = 0.5
      RETURN_S = 0.5
      PAUSE_S = 1.0
      # A slow pump with every nipple shut, and the rest after it, s: slow enough not to froth. [default]
      PUMP_S = 1.0
      # Share of the lever's way at which the nipple is opened, and which a small stroke goes.
      HELD, SMALL = 0.5, 0.4
      # Topped up when less than this share is left above the port; drawn down, while it is pushed from below, to this.
      LOW = 0.4
      # Times what the verdict says that air takes to rise, until it is out by the port. [default]
      RISES = 1.2
      # Share of the reservoir that is pushed in before it is drawn down again.
      PIECE = 0.5
      # How long a vacuum is kept, and how often the level is looked at meanwhile, s; what a syringe gives before it is,
      # mL. [default]
      VACUUM_S, LOOK_S, LOOK_ML = 1.0, 0.04, 2.0
      # How long one waits for air to rise, for a joint to be slack, and for an ABS unit to be cycled, s. [default]
      RISE_S, CRACK_S, VALVES_S = 30.0, 0.4, 20.0
      # What the line holds and a fifth more, since a bubble climbs back between strokes, and this many cycles without
      # one; a push fills the line by itself. [default]
      LINES = 1.2
      CLEAN = {stroke: 3, run: 3, draw: 3, push: 1, feed: 3, rise: 4, crack: 2, press: 2}.freeze
      # What goes through the line is no measure where nothing is meant to go through.
      STILL = %i[rise crack press].freeze
      # Cycles after which it gives up; a draw is a second long. [default]
      MOST = {draw: 200}.freeze
      MANY = 60

      # @return [Array<String>] bleeding methods that it knows: all of bleed_methods.yml
      def self.ways
        Tables.rows("practice_ways").map { |row| row["id"] }
      end

      # @param rig [Simulation] to work on; way [String] of bleed_methods.yml
      # @param fresh [Float] how fresh the fluid has to come, 0 to 1; most [Integer, nil] openings of each nipple
      def initialize(rig, way: "hold_cycle", fresh: 0.0, most: nil)
        @rig = rig
        @fresh = fresh
        @most = most
        @way = Tables.find("practice_ways", way) ||
          raise(Refusal.at("way", "no hand here bleeds by “#{way}”", Mechanic.ways.join(", ")))
        @method = Tables.find("bleed_methods", way)
        @drive = @method["drive"]
        @turns = Tables.find("nipple_openings", @method["opening"])["turns"]
        @cycle = @way["cycle"].to_sym
        @full_ml = rig.reservoir_full_ml
      end

      # @return [Simulation] as it is left
      def bleed
        farthest_first { |id| bleed_end(id) }
        return @rig unless @way["valves"]
        act("cycle", "s" => VALVES_S)
        farthest_first { |id| bleed_end(id) }
        @rig
      end

      # One end, until it runs clean and what the line holds has gone through.
      def bleed_end(id)
        act("place", "what" => @way["lays"]) if @way["lays"]
        act("fit", "end" => id, "what" => @way["fits"]) if @way["fits"]
        clean = 0
        wanted = STILL.include?(@cycle) ? 0.0 : LINES * @rig.plumbing.find(id).volume_ml
        through = 0.0
        (@most || MOST.fetch(@cycle, MANY)).times do
          out, jar, poured = before = came
          send(@cycle, id)
          break if came == before && @cycle != :rise
          through += (@cycle == :push) ? @rig.poured_ml - poured : @rig.jar_ml - jar
          clean = (@rig.air_out_ml - out > 1e-6) ? 0 : clean + 1
          break if clean >= CLEAN.fetch(@cycle) && through >= wanted && @rig.fresh_at(id) >= @fresh
        end
        let_rise(id)
      end

      # Hold, open, close, let go; pumped up first where the way says so.
      # @param id [String] of a far end
      def stroke(id)
        top_up
        (@way["pumps"] || 0).times { slowly(1.0) }
        act("lever", "to" => @rig.travel_mm * HELD, "s" => PRESS_S)
        act("nipple", "end" => id, "turns" => @turns)
        act("lever", "to" => @rig.travel_mm, "s" => @drive["seconds"])
        act("nipple", "end" => id, "turns" => 0)
        act("lever", "to" => 0, "s" => RETURN_S)
        act("wait", "s" => PAUSE_S)
      end

      private

      # Where the verdict says that air rises out by itself, that is waited for with every nipple shut.
      def let_rise(id)
        rises_s = Airway::MethodVerdict.new(@rig.plumbing.find(id).way, @method).rises_s
        act("wait", "s" => [rises_s * RISES, Airway::Carriage::LONGEST_S].min) if rises_s
      end

      def farthest_first(&)
        @rig.plumbing.paths.sort_by { |path| -path.length_mm }.map(&:id).each(&)
      end

      # @return [Array<Float>] mL of air and of fluid that came, and mL that went in
      def came
        [@rig.air_out_ml, @rig.jar_ml, @rig.poured_ml]
      end

      def act(what, **given)
        @rig.act({"do" => what, **given.transform_keys(&:to_s)})
      end

      # A stroke that froths nothing, with the nipples as they are.
      def slowly(share)
        act("lever", "to" => @rig.travel_mm * share, "s" => PUMP_S)
        act("lever", "to" => 0, "s" => PUMP_S)
      end

      def opened(id)
        act("nipple", "end" => id, "turns" => @turns)
        yield
        act("nipple", "end" => id, "turns" => 0)
      end

      # The nipple stays open from stroke to stroke: what is fitted to it lets no air back.
      def run(id)
        top_up
        opened(id) do
          act("lever", "to" => @rig.travel_mm, "s" => @drive["seconds"])
          act("lever", "to" => 0, "s" => @drive["seconds"])
        end
      end

      # By head, and by what a vacuum adds to it.
      def draw(id)
        top_up
        look = @drive["mpa"].zero? ? VACUUM_S : LOOK_S
        opened(id) do
          (VACUUM_S / look).round.times do
            act("draw", "mpa" => @drive["mpa"], "s" => look)
            top_up
          end
        end
      end

      # In one go: the reservoir is drawn down while it is pushed.
      def push(id)
        piece = [LOOK_ML, PIECE * @full_ml].min
        opened(id) do
          (@rig.plumbing.find(id).volume_ml.clamp(0.0, @drive["ml"]) / piece).ceil.times do
            make_room
            act("push", "end" => id, "ml" => piece, "s" => piece / @drive["ml_s"])
          end
        end
        act("wait", "s" => PAUSE_S)
      end

      # From the master down, out by the nipple, in one go.
      def feed(id)
        ml = [LINES * @rig.plumbing.find(id).volume_ml, @drive["ml"]].min
        opened(id) { act("feed", "end" => id, "ml" => ml, "s" => ml / @drive["ml_s"]) }
        act("wait", "s" => PAUSE_S)
      end

      # The hose hung up: air rises to whichever end it can, and small strokes help it.
      def rise(id)
        top_up
        opened(id) do
          act("wait", "s" => RISE_S)
          slowly(SMALL)
        end
      end

      # Pumped, held, the joint at the master slackened and tightened.
      def crack(_id)
        top_up
        slowly(1.0)
        act("lever", "to" => @rig.travel_mm * HELD, "s" => PRESS_S)
        act("crack", "to" => @rig.travel_mm, "s" => CRACK_S)
        act("lever", "to" => 0, "s" => RETURN_S)
        act("wait", "s" => PAUSE_S)
      end

      # Pistons home, a rest for the air at the port, and out again by light strokes.
      def press(id)
        make_room
        act("press", "end" => id, "ml" => @drive["ml"], "s" => @drive["ml"] / @drive["ml_s"])
        act("wait", "s" => PAUSE_S)
        top_up
        3.times { slowly(1.0) }
      end

      def make_room
        act("take", "ml" => [@rig.reservoir_ml - LOW * @full_ml, 0.0].max)
      end

      def top_up
        act("pour", "ml" => @full_ml - @rig.reservoir_ml) if @rig.reservoir_ml < LOW * @full_ml
      end
    end
  end
end
