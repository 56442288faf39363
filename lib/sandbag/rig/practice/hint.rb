# frozen_string_literal: true

module Sandbag
  module Rig
    # What a good hand would do now: the step of the lesson's bleeding method, or what comes before it. One at a time.
    class Hint
      # The lever is in, or back, within this share of its way. [default]
      NEAR = 0.05
      # A lever that is held has gone this share of its way. [default]
      HELD = 0.3

      # @param lesson [Lesson]; rig [Simulation] as it stands
      def initialize(lesson, rig)
        @lesson = lesson
        @rig = rig
        @way = lesson.way
        freeze
      end

      # @return [String]
      def says
        what, id = to_do
        case what
        when :finish then "Nothing is left to do here: finish."
        when :place then "First: #{Wording.inside(Tables.find("practice_places", id)["label"])}."
        when :close then "Close the nipple at #{@rig.plumbing.find(id).label}."
        when :top_up then open? ? "Close the nipple, then top up." : "Top up the reservoir."
        when :fit then "Fit to the nipple: #{Wording.inside(Tables.find("practice_fits", id)["label"])}."
        else step_said(id)
        end
      end

      # @return [Array(Symbol, String)] finish; place, fit, close or step with an id; top_up
      def to_do
        return [:finish] if @lesson.cleared?(@rig)
        place = @lesson.places.find { |each| !@rig.placed.include?(each) }
        return [:place, place] if place
        other = @rig.plumbing.paths.find { |path| path.id != target.id && @rig.open?(@rig.index(path.id)) }
        return [:close, other.id] if other
        return [:top_up] if @rig.reservoir_ml < Pace::LOW * @rig.reservoir_full_ml && !pushed?
        fit = @way["fits"]
        (fit && fit != fitted) ? [:fit, fit] : [:step, step]
      end

      # The longest way that has air in it, or gives old fluid.
      # @return [Plumbing::Path]
      def target
        paths = @rig.plumbing.paths
        airy = paths.each_with_index.select { |_, index| @rig.slugs.any? { |slug| slug.path == index } }.map(&:first)
        (airy.empty? ? paths : airy).max_by(&:length_mm)
      end

      private

      # @return [String] id of bleed_beats.yml
      def step
        case @way["cycle"]
        when "stroke" then stroke
        when "run" then open? ? in_or_out : "open_flow"
        when "draw" then open? ? drawing : "open_flow"
        when "push" then full? ? "draw_down" : opened("push_up")
        when "feed" then opened("feed_in")
        when "rise" then opened("levels_equal")
        when "crack" then "crack_joint"
        else full? ? "draw_down" : "press_home"
        end
      end

      # Hold, open, on to the end, close, release.
      def stroke
        return lever?(1 - NEAR..) ? "close" : "hold" if open?
        return "release" if lever?(1 - NEAR..)
        return "open" if lever?(HELD..)
        @way["pumps"] ? "pump" : "hold"
      end

      def in_or_out
        return "slow_in" unless lever?(1 - NEAR..)
        (@way["fits"] == "tube") ? "in_fluid_out" : "slow_out"
      end

      def drawing
        Tables.find("bleed_methods", @way["id"]).dig("drive", "mpa").zero? ? "steady" : "draw"
      end

      def opened(step)
        open? ? step : "open_flow"
      end

      def step_said(id)
        beat = Tables.find("bleed_beats", id)
        at = " at #{target.label}" if beat["nipple"] && @rig.plumbing.paths.size > 1
        watch = " Watch: #{beat["watch"]}." if beat["watch"]
        "#{beat["label"]}#{at}: #{beat["how"]}.#{watch}"
      end

      def index
        @rig.index(target.id)
      end

      def open?
        @rig.open?(index)
      end

      def fitted
        @rig.fitted(index)
      end

      def lever?(share)
        share.cover?(@rig.lever_mm / @rig.travel_mm)
      end

      # What is pushed up must find room.
      def full?
        @rig.reservoir_ml > Pace::DRAWN_TO * @rig.reservoir_full_ml && pushed?
      end

      def pushed?
        %w[push press].include?(@way["cycle"])
      end
    end
  end
end
