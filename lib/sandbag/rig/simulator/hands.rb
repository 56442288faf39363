# frozen_string_literal: true

module Sandbag
  module Rig
    # What hands may do to a simulated circuit: each action by its name, its figures looked at before anything moves.
    class Hands
      STEP_S = Simulation::STEP_S
      # The figures of each action, and between what they may lie; those at an end name it.
      # lever (to mm, s), wait (s), nipple (end, turns), fit (end, what of practice_fits.yml), pour (ml), take (ml) out
      # of the reservoir, tap, push (end, ml, s) by a syringe at the nipple, feed (end, ml, s) by a syringe at the
      # master, draw (mpa, s) by a vacuum, crack (to mm, s) the master's outlet while the lever goes on, press (end, ml,
      # s) its pistons home, cycle (s) the ABS unit's valves, descend (s) a pass on the brakes, place (what) of
      # practice_places.yml.
      FIGURES = {
        "lever" => {"to" => nil, "s" => STEP_S..60}, "wait" => {"s" => 0..3600}, "nipple" => {"turns" => 0..3},
        "fit" => {}, "pour" => {"ml" => 0..500}, "take" => {"ml" => 0..500}, "tap" => {},
        "push" => {"ml" => 0..100, "s" => STEP_S..60}, "feed" => {"ml" => 0..100, "s" => STEP_S..60},
        "draw" => {"mpa" => 0..0.1, "s" => 0..600}, "crack" => {"to" => nil, "s" => STEP_S..10},
        "press" => {"ml" => 0..20, "s" => STEP_S..60}, "cycle" => {"s" => 0..120}, "descend" => {"s" => 0..900},
        "place" => {}
      }.freeze
      AT_AN_END = %w[nipple fit push feed press].freeze
      ACTIONS = FIGURES.keys.freeze

      # @param rig [Simulation]
      def initialize(rig)
        @rig = rig
      end

      # @param action [Hash] do: of ACTIONS, with its figures
      # Refuses an action that there is not, and figures that cannot be.
      def act(action)
        name = action["do"]
        limits = FIGURES[name] ||
          raise(Refusal.at("do", "there is no action “#{name}”", ACTIONS.join(", ")))
        index = @rig.index(action["end"]) if AT_AN_END.include?(name)
        send(:"do_#{name}", index, action["what"], *limits.map { |figure, between| number(action, figure, between) })
      end

      private

      def number(action, figure, between)
        between ||= 0..@rig.travel_mm
        value = action[figure]
        return value.to_f if value.is_a?(Numeric) && value.finite? && between.cover?(value)
        raise Refusal.at(figure, "#{value.inspect} cannot be done", "#{between.min} to #{between.max.round(1)}")
      end

      # @return [Integer] of so many seconds, for what takes at least one
      def steps_in(seconds)
        [(seconds / @rig.step_s).round, 1].max
      end

      # @yield [Integer, Integer] step and steps, before each
      def over(seconds, **held)
        steps = steps_in(seconds)
        (1..steps).each do |step|
          yield step, steps if block_given?
          @rig.advance(**held)
        end
      end

      # No faster back than it comes by itself.
      def do_lever(_end, _what, to_mm, seconds)
        stroke = to_mm.zero? && @rig.pressure_mpa.positive? && @rig.shut?
        back = @rig.faults.return_s * (@rig.lever_mm - to_mm) / @rig.travel_mm
        lever(to_mm, [seconds, back].max)
        @rig.stroked if stroke
      end

      # In no further than the hand is strong.
      def lever(to_mm, seconds, **held)
        from = @rig.lever_mm
        over(seconds, **held) do |step, steps|
          wanted = from + (to_mm - from) * step / steps
          @rig.lever_mm = wanted if wanted < @rig.lever_mm || @rig.force_n < @rig.most_n
        end
      end

      def do_wait(_end, _what, seconds)
        let_pass(seconds)
      end

      def let_pass(seconds, **held)
        (seconds / @rig.step_s).round.times { @rig.advance(**held) }
      end

      def do_nipple(index, _what, turns)
        @rig.turn(index, turns)
      end

      def do_fit(index, what)
        @rig.fit(index, what)
      end

      def do_pour(_end, _what, ml)
        @rig.pour(ml)
      end

      def do_take(_end, _what, ml)
        @rig.draw_off(ml)
      end

      def do_tap(_end, _what)
        @rig.tap_hose
      end

      def do_push(index, _what, ml, seconds)
        push(index, ml, seconds, false)
      end

      def do_feed(index, _what, ml, seconds)
        push(index, ml, seconds, true)
      end

      def push(index, ml, seconds, from_master)
        return @rig.notice("pushed_shut") unless @rig.open?(index)
        over(seconds, pushed: [index, ml / steps_in(seconds), from_master])
      end

      def do_draw(_end, _what, mpa, seconds)
        let_pass(seconds, vacuum_mpa: mpa)
      end

      # Tight again before the lever goes back.
      def do_crack(_end, _what, to_mm, seconds)
        lever([to_mm, @rig.lever_mm].max, seconds, cracked: true)
      end

      def do_press(index, _what, ml, seconds)
        over(seconds, homed: [index, [ml, @rig.homes_ml].min / steps_in(seconds)])
      end

      def do_cycle(_end, _what, seconds)
        let_pass(seconds, cycled: true)
      end

      def do_descend(_end, _what, seconds)
        let_pass(seconds, brakes: true)
      end

      def do_place(_end, what)
        Tables.fetch("practice_places", what, "what", "“#{what}” is not something to lay otherwise")
        @rig.place(what)
      end
    end
  end
end
