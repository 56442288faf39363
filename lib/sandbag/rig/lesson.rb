# frozen_string_literal: true

module Sandbag
  module Rig
    # A lesson on a simulated circuit: where it starts, and what came of it beside a good hand's work from the same
    # start.
    class Lesson
      # @return [Array<Lesson>]
      def self.all
        Knowledge.table("lessons").map { |row| new(row) }
      end

      # @return [Lesson, nil]
      def self.find(id)
        all.find { |lesson| lesson.id == id }
      end

      attr_reader :sheet

      # @param row [Hash] of lessons.yml
      def initialize(row)
        @row = row
        @sheet = set(Sandbag::Circuit::Template.sheet(row["template"]).set("fluid", "stamped", row["fluid"],
          "part_marking"))
        freeze
      end

      def id
        @row["id"]
      end

      # @return [Hash] id, label, goal
      def to_h
        {id: id, label: @row["label"], goal: @row["goal"]}
      end

      # @return [Simulation] at the start
      def start
        celsius = @row["celsius"] || Bleed::Way::WARM_C
        paths = Plumbing.new(sheet, celsius: celsius).paths
        air = @row["air"].map do |each|
          Slug.new(ml: each["ml"], path: each["end"], at_mm: each["at"] * paths[each["end"]].length_mm)
        end
        Simulation.new(sheet, air: air, celsius: celsius, reservoir: @row["reservoir"] || 1.0)
      end

      # @param rig [Simulation] as somebody left it
      # @return [Hash] done, air_left_ml, goal_ml, where, used_ml, seconds, slips, and the same figures of a good hand
      def result(rig)
        {
          done: rig.air_ml <= @row["air_left"],
          goal_ml: @row["air_left"],
          **figures(rig),
          where: rig.slugs.map { |slug| {ml: slug.ml, end: rig.plumbing.paths[slug.path].label, at_mm: slug.at_mm} },
          slips: slips(rig),
          good_hand: figures(Mechanic.new(start).bleed)
        }
      end

      private

      def set(sheet)
        (@row["set"] || {}).reduce(sheet) do |all, (part, values)|
          values.reduce(all) { |each, (field, value)| each.change(part, field, value, "measured") }
        end
      end

      def figures(rig)
        {air_left_ml: rig.air_ml, used_ml: rig.jar_ml, seconds: rig.seconds}
      end

      def slips(rig)
        rig.events.map { |event| event[:what] }.tally.map do |what, times|
          {**Knowledge.find("practice_slips", what).slice("label", "says").transform_keys(&:to_sym), times: times}
        end
      end
    end
  end
end
