# frozen_string_literal: true

module Sandbag
  module Bleed
    # The live count of a bleed, folded from the job's entries: strokes and millilitres, refills, bubbles, colour, what
    # the jar says, and starting over when the port was uncovered.
    class Count
      extend Attributes

      # first, method [Hash] rows of bleed_methods.yml: begun with, and at hand; entries: how many were counted, and
      # last_id the newest of them
      # set_aside [ReservoirCount, nil]: how the reservoir stands while a syringe is at hand
      attributes :plan, :first, :method, :points, :reservoir, :set_aside, :current_id, :cycle, :jar, :log,
        :total_strokes, :entries, :last_id

      # @param entries [Job::Entries] the bleed stage's entries still in force, oldest first
      # @param method [Hash] the one it began with
      def self.fold(plan, entries, method:)
        counted = entries
          .chunk_while { |one, next_one| one.kind == "stroke" && next_one.kind == "stroke" }
          .reduce(new(plan: plan, first: method)) do |count, run|
            (run.first.kind == "stroke") ? count.strokes(run.size, run.first.at) : count.apply(run.first)
          end
        counted.with(entries: entries.size, last_id: entries.at(-1)&.id)
      end

      # @param points [Hash{String => PointCount}] by id; @param current_id [String] of the point at hand
      def initialize(plan:, first:, method: nil, points: nil, reservoir: nil, set_aside: nil, current_id: nil,
        cycle: nil, jar: nil,
        log: nil, total_strokes: 0, entries: 0, last_id: nil)
        @plan = plan
        @first = first
        @method = method || first
        @jar = jar || JarSum.new(full_ml: plan.stroke_ml)
        @points = (points || fresh_points).freeze
        @reservoir = reservoir || fresh_reservoir
        @set_aside = set_aside
        @current_id = current_id || next_open_id
        @cycle = cycle || Cycle.of(@method)
        @log = log || Log.new
        @total_strokes = total_strokes
        @entries = entries
        @last_id = last_id
        freeze
      end

      # Counts on, where nothing but further entries came since: the same plan, and none that was counted taken back.
      # @return [Count, nil] nil where all must be counted again
      def on(plan, all, method:)
        return unless entries.positive? && all.at(entries - 1)&.id == last_id && first == method && plan == self.plan
        all.drop(entries).reduce(self) { |count, entry| count.apply(entry) }.with(entries: all.size,
          last_id: all.at(-1).id)
      end

      # @return [Count] the count after one more entry; one of another stage opened the circuit, and one that names a
      #   point this plan no longer has changes nothing
      def apply(entry)
        return opened_again(entry) unless entry.stage == "bleed"
        return self if entry.data["point"] && !points.key?(entry.data["point"])
        case entry.kind
        when "point" then at_point(entry.data["point"])
        when "stroke" then strokes(1, entry.at)
        when "beat" then beat(entry)
        when "run" then run(entry.data)
        when "topped_up" then topped_up
        when "slip" then noted_slip(entry)
        when "bubbles" then with_current(&:with_bubbles)
        when "colour" then with_current { |point| point.with(colour: entry.data["colour"]) }
        when "point_done" then point_done(entry.data["point"])
        when "jar" then jar_read(entry.data)
        when "method" then method_changed(entry)
        when "round" then another_round(entry)
        when "uncovered" then start_over(entry.at)
        else self
        end
      end

      # @return [Count] after so many strokes in a row; more than a filling bears, as where a top-up was taken back,
      #   have uncovered the port, and move nothing after that
      def strokes(number, at)
        borne = reservoir.strokes_borne
        return moved(number) if number <= borne
        return self if reservoir.dry
        moved(borne).start_over(at, "More strokes than one filling bears: the port was uncovered.")
      end

      def moved(number)
        with(reservoir: reservoir.with_strokes(number), total_strokes: total_strokes + number, cycle: cycle.counted,
          points: points.merge(current_id => current.with_strokes(number)))
      end

      def current
        points[current_id]
      end

      # @return [Float] mL a stroke moves, as the jar has it, or as the cylinder sweeps
      def stroke_ml
        jar.stroke_ml || plan.stroke_ml
      end

      # @return [Float] mL through every point
      def passed_ml
        points.values.sum(&:passed_ml)
      end

      def supply
        Supply.new(method, plan)
      end

      # Fluid has moved.
      def begun?
        total_strokes.positive? || log.restarts.any? || passed_ml.positive?
      end

      # Every point ran clean since the port was last uncovered.
      def finished?
        points.values.all?(&:done)
      end

      private

      def fresh_points
        plan.points.to_h do |point|
          [point.id, Airway::PointCount.new(plan_point: point, stroke_ml: stroke_ml, by_ml: supply.by_ml?)]
        end
      end

      def fresh_reservoir
        Airway::ReservoirCount.of(supply, stroke_ml)
      end

      def at_point(id)
        with(current_id: id, cycle: (id == current_id) ? cycle : cycle.at_next_point)
      end

      def topped_up
        with(reservoir: reservoir.topped_up, log: log.with(top_ups: log.top_ups + 1),
          cycle: cycle.recorded("topped_up"))
      end

      # The same step twice is once.
      def beat(entry)
        beat = entry.data["beat"]
        return self if !cycle.has?(beat) || (cycle.done.last == beat && !cycle.in_turn?(beat))
        return slipped(entry, cycle.slip(beat)) unless cycle.in_turn?(beat)
        stepped = with(cycle: cycle.after_beat(beat))
        (cycle.ends_go?(beat) && !supply.by_ml?) ? stepped.strokes(1, entry.at) : stepped
      end

      # What was left out, or drew air in, does not count, and what comes next is judged for bubbles again.
      def slipped(entry, why)
        with_current(&:with_bubbles).with(cycle: cycle.again, log: log.noted(:slips, {at: entry.at, why: why}))
      end

      def noted_slip(entry)
        slipped(entry, Tables.find("bleed_slips", entry.data["slip"])["says"])
      end

      def run(data)
        ml = data["ml"]
        drawn = data["poured"] ? reservoir : reservoir.with_run(ml)
        with(points: points.merge(current_id => current.with_run(ml)), reservoir: drawn, cycle: cycle.recorded("run"),
          log: log.with(in_ml: log.in_ml + ml, out_ml: log.out_ml + (data["out"] || ml)))
      end

      def jar_read(data)
        read = jar.read(data["ml"], total_strokes, emptied: data["emptied"] == true)
        return with(jar: read) unless read.stroke_ml
        with(jar: read, reservoir: reservoir.with(stroke_ml: read.stroke_ml),
          points: points.transform_values { |point| point.with(stroke_ml: read.stroke_ml) })
      end

      # What was passed stays; bubbles are judged again, as they come by the new way.
      def method_changed(entry)
        other = Tables.find("bleed_methods", entry.data["method"])
        return self if other == method
        changed = with(method: other, cycle: Cycle.of(other))
        points = self.points.transform_values do |point|
          (point.done ? point : point.with_bubbles).with(by_ml: changed.supply.by_ml?)
        end
        line = {at: entry.at, from: method["label"], to: other["label"], says: worth(other)}
        return changed.with(points: points, reservoir: changed.fresh_reservoir) unless begun?
        changed.with(points: points, reservoir: drawn_on(changed), set_aside: level_kept,
          log: log.noted(:changes, line))
      end

      # How the reservoir stands, whatever is at hand; nil where no method drew on it yet.
      def level_kept
        (supply.kind == "reservoir") ? reservoir : set_aside
      end

      # What is gone from the reservoir is still gone; a syringe is filled for its method.
      def drawn_on(changed)
        return changed.fresh_reservoir if changed.supply.kind != "reservoir" || level_kept.nil?
        level_kept.with(by_ml: changed.supply.by_ml?)
      end

      def worth(other)
        passed = Said.ml(passed_ml)
        unless method["reverse"] == other["reverse"]
          return "#{passed} already flushed still counts. The bubble check starts again, because the flow direction " \
            "changed."
        end
        "#{passed} are kept: they count for old fluid. The bubble check starts again."
      end

      # The points are gone through again; what has passed stays.
      def another_round(entry)
        again = points.transform_values(&:with_bubbles)
        with(points: again, current_id: plan.points.first.id,
          log: log.noted(:rounds, {at: entry.at, lever: entry.data["lever"]}))
      end

      def point_done(id)
        changed = points.merge(id => points.fetch(id).with(marked: true))
        following = changed.find { |_, point| !point.done }&.first || id
        with(points: changed, current_id: following,
          cycle: (following == current_id) ? cycle : cycle.at_next_point)
      end

      # To look under Ask leaves the reservoir as it was; to take something off empties it.
      def opened_again(entry)
        return self unless begun?
        level = (entry.stage == "ask") ? reservoir : reservoir.uncovered
        start_over(entry.at, "The circuit was opened again.", level: level)
      end

      def start_over(at, cause = "The port was uncovered: air went in at the master.", level: fresh_reservoir.uncovered)
        lost = points.values.sum(&:strokes)
        why = "#{cause} #{lost_said(lost)} at every point. A flush is now a bleed."
        with(
          points: fresh_points,
          reservoir: level,
          current_id: plan.points.first.id,
          cycle: Cycle.of(method),
          log: log.noted(:restarts, {at: at, why: why, strokes: lost})
        )
      end

      def lost_said(strokes)
        ran = points.values.sum(&:run_ml)
        counted = "#{strokes} counted strokes"
        return "#{counted} start over" if ran.zero?
        strokes.zero? ? "#{Said.ml(ran)} start over" : "#{counted} and #{Said.ml(ran)} start over"
      end

      def with_current
        with(points: points.merge(current_id => yield(current)))
      end

      def next_open_id
        @points.find { |_, point| !point.done }&.first || @points.keys.last
      end

      protected :fresh_reservoir, :moved, :start_over
    end
  end
end
