# frozen_string_literal: true

module Sandbag
  module Rig
    # A lesson on a simulated circuit: where it starts, and what came of it beside a good hand's work from the same
    # start.
    class Lesson
      # Air in every way of a lever that is spongy, mL for each 15 mL that the circuit holds, and where. [default]
      SPONGY_ML, SPONGY_AT = 0.5, 0.5

      # @return [Array<Lesson>]
      def self.all
        Tables.rows("lessons").map { |row| new(row) }
      end

      # @return [Lesson, nil]
      def self.find(id)
        row = Tables.find("lessons", id)
        row && new(row)
      end

      # How any circuit can be started without a lesson.
      STARTS = {
        "spongy" => "Air in every hose. Get it out.",
        "dry" => "Every hose is empty, from the master to its end."
      }.freeze

      # @param template [String] of circuit_templates.yml; start [String] of STARTS
      # @return [Lesson] without a goal of its own but to get the air out
      # Refuses a template that there is not.
      def self.free(template, start)
        on(Sandbag::Circuit::Template.filled(template), "#{template}.#{start}",
          Tables.find("circuit_templates", template)["label"], start)
      end

      # The same on any circuit, such as that of a job.
      # @param sheet [Circuit::Sheet]; id, label [String]
      def self.on(sheet, id, label, start)
        way = (sheet.value("fluid", "stamped") == "mineral") ? "reverse_syringe" : "hold_cycle"
        places = Tables.rows("practice_places").map { |each| each["id"] }
        new({"id" => id, "label" => label, "goal" => STARTS.fetch(start), "way" => way, "places" => places, "air" => [],
             start => true, "any_tool" => true, "air_left" => FREE_LEFT_ML}, sheet: sheet)
      end

      # A pass on the brakes, s; and mL of steam that a lever does not notice. [default]
      PASS_S, STEAM_ML = 240.0, 0.02
      # mL that may stay where no lesson says how much. [default]
      FREE_LEFT_ML = 0.03

      attr_reader :sheet

      # @param row [Hash] of lessons.yml; sheet [Circuit::Sheet, nil] nil makes it by the row
      def initialize(row, sheet: nil)
        @row = row
        @sheet = sheet || set(Sandbag::Circuit::Template.sheet(row["template"]).set("fluid", "stamped", row["fluid"],
          "part_marking"))
        freeze
      end

      def id
        @row["id"]
      end

      # @return [Hash] row of practice_ways.yml
      def way
        Tables.find("practice_ways", @row["way"])
      end

      # @return [Array<String>] of practice_places.yml, what is laid otherwise first; none without a lesson
      def places
        @row["any_tool"] ? [] : @row["places"] || []
      end

      # Nothing of its goal is left.
      def cleared?(rig)
        done?(figures(rig))
      end

      # @return [Hash] id, label, goal; what is at hand beside the lever: tools, what fits a nipple, what can be laid
      #   otherwise
      def to_h
        {
          id: id, label: @row["label"], goal: @row["goal"], teaches: @row["teaches"], tools: tools,
          fits: fits.map { |fit| Tables.find("practice_fits", fit).slice("id", "label") },
          places: (@row["places"] || []).map { |place| Tables.find("practice_places", place).slice("id", "label") }
        }.compact
      end

      # @return [Simulation] at the start
      def start
        celsius = @row["celsius"] || Airway::Way::WARM_C
        Simulation.new(sheet, air: air(Plumbing.new(sheet, celsius: celsius)), celsius: celsius,
          reservoir: @row["reservoir"] || 1.0, old: @row["old"] || false, water: @row["water"] || 0.0,
          unit_ml: @row["unit"] || 0.0, faults: Faults.new(**(@row["faults"] || {}).transform_keys(&:to_sym)))
      end

      # @param rig [Simulation] as somebody left it
      # @return [Hash] done, air_left_ml, goal_ml, where, used_ml, seconds, openings, fresh, slips, well (what was
      #   not done wrong and could have been), and the same figures
      #   of a good hand
      def result(rig)
        figures = figures(rig)
        {
          done: done?(figures),
          goal_ml: @row["air_left"],
          goal_openings: @row["openings"],
          goal_fresh: @row["fresh"],
          **figures,
          where: where(rig),
          slips: slips(rig),
          well: well(rig),
          good_hand: figures(good_hand)
        }.compact
      end

      # @return [Simulation] as a good hand leaves it
      def good_hand
        rig = start
        (@row["places"] || []).each { |place| rig.act("do" => "place", "what" => place) }
        Mechanic.new(rig, way: @row["way"], fresh: @row["fresh"] || 0.0,
          most: @row["openings"]).bleed
      end

      private

      # On a circuit without a lesson, whatever suits its kind.
      def ways
        return [Tables.find("practice_ways", @row["way"])] unless @row["any_tool"]
        Tables.rows("practice_ways").select do |row|
          sheet.suits?(Tables.find("bleed_methods", row["id"]))
        end
      end

      def tools
        ways.filter_map { |row| row["tool"] } + (@row["tools"] || [])
      end

      # The plain hose can be taken again wherever something else is.
      def fits
        others = ways.filter_map { |row| row["fits"] }
        others.empty? ? [] : ["hose", *others]
      end

      def done?(figures)
        left_ml, openings, fresh = figures.values_at(:air_left_ml, :openings, :fresh)
        left_ml <= @row["air_left"] && openings <= (@row["openings"] || openings) &&
          fresh >= (@row["fresh"] || 0.0) && figures.fetch(:steam_ml, 0.0) <= STEAM_ML
      end

      # @return [Float] mL of steam after a pass on the brakes, from cold
      def after_pass(rig)
        heat = Heat.new(rig.celsius)
        boils_c = rig.boils_c
        (PASS_S / Simulation::STEP_S).round.times { heat.pass(Simulation::STEP_S, brakes: true, boils_c: boils_c) }
        heat.steam_ml
      end

      def where(rig)
        in_lines = rig.slugs.group_by(&:path).map do |path, slugs|
          {ml: slugs.sum(&:ml), place: "on the way to #{rig.plumbing.paths[path].label}"}
        end
        rig.unit.ml.positive? ? [*in_lines, {ml: rig.unit.ml, place: "behind the ABS unit's valves"}] : in_lines
      end

      def air(plumbing)
        paths = plumbing.paths
        given = @row["air"].map { |each| slug(each["ml"], each["end"], each["at"] * paths[each["end"]].length_mm) }
        given + (@row["dry"] ? plumbing.dry : []) + (@row["spongy"] ? spongy(paths) : [])
      end

      def spongy(paths)
        ml = SPONGY_ML * Sandbag::Circuit::Assembly.build(sheet).fluid_ml / 15 / paths.size
        paths.each_index.map { |index| slug(ml, index, SPONGY_AT * paths[index].length_mm) }
      end

      def slug(ml, path, at_mm)
        Slug.new(ml: ml, path: path, at_mm: at_mm)
      end

      def set(sheet)
        (@row["set"] || {}).reduce(sheet) do |all, (part, values)|
          values.reduce(all) { |each, (field, value)| each.change(part, field, value, "measured") }
        end
      end

      def figures(rig)
        {
          air_left_ml: rig.air_ml + rig.unit.ml, steam_ml: (after_pass(rig) if @row["pass"]), used_ml: rig.used_ml,
          seconds: rig.seconds, openings: rig.openings, fresh: rig.fresh
        }.compact
      end

      # @return [Array<String>]
      def well(rig)
        made = rig.events.map(&:what)
        Tables.rows("practice_slips").reject { |row| made.include?(row["id"]) }.select { |row| could?(row, rig) }
          .map { |row| row["well"] }
      end

      def could?(row, rig)
        return false if rig.openings.zero?
        case row["can"]
        when "nipple" then true
        when "ends" then rig.plumbing.paths.size > 1
        when "syringe" then tools.include?("syringe")
        when "pocket" then start.plumbing.paths.any? { |path| path.pocket_ml > Watch::POCKET_ML }
        end
      end

      def slips(rig)
        rig.events.map(&:what).tally.map do |what, times|
          {**Tables.find("practice_slips", what).slice("label", "says").transform_keys(&:to_sym), times: times}
        end
      end
    end
  end
end
