# frozen_string_literal: true

require_relative "altered_sheets"
require_relative "plainly"

# What each room tells of every circuit template, at its defaults and altered, and of what it holds itself.
module ToldRooms
  ROOMS = %w[circuits sizings bleeding levers lookup searches practice days].freeze
  # Air in a lever, mL: none, some, too much.
  AIR_ML = [0.0, 0.4, 2.0].freeze
  FORCES_N = [5, 8, 12, 20, 35, 60, 90, 120].freeze
  # A day's works: minutes of each piece, and how long it stands after it.
  WORKS = [
    [[30, 0], [10, 15], [20, 0]], [[45, 60], [15, 0]], [[60, 0]], [[20, 720], [30, 0]], [[15, 10], [15, 10], [15, 0]],
    [[90, 0], [25, 0]], [[40, 30], [35, 0]], [[10, 0]], [[55, 10], [8, 7], [12, 0]]
  ].freeze

  # @param room [String] of ROOMS
  # @return [Hash{String => Object}] part of the room => what it tells
  def self.parts(room)
    public_send(room).transform_values { |told| Plainly.read(told) }
  end

  def self.circuits
    sheets { |sheet| Sandbag::Circuit::Summary.new(sheet).to_h }
  end

  def self.sizings
    sheets do |sheet|
      [Sandbag::Choose::Sizing.new(sheet).to_h,
        Sandbag::Choose::Explanation.new(Sandbag::Choose::Option.new(sheet)).items.map(&:to_h)]
    end
  end

  def self.bleeding
    sheets do |sheet|
      table = Sandbag::Airway::MethodTable.new(sheet)
      [Sandbag::Airway::Plan.new(sheet, opened: true).to_h, table.to_h,
        table.usable.map { |method| table.figures(method).map(&:to_h) }]
    end
  end

  def self.levers
    sheets { |sheet| AIR_ML.map { |air_ml| [lever(sheet, air_ml).to_h, by_hand(sheet, air_ml).to_h] } }
  end

  def self.lookup
    Sandbag::Lookup::Book.found("").to_h { |group| [group[:id], group] }
  end

  # What is found by the titles of two entries that have nothing to do with one another.
  def self.searches
    titles = Sandbag::Lookup::Book.entries.map(&:title)
    titles.zip(titles.rotate(titles.size / 2)).each_slice(4).map(&:first).to_h do |pair|
      [pair.join(" "), Sandbag::Lookup::Book.search.find(pair.join(" ")).map(&:id)]
    end
  end

  def self.practice
    Sandbag::Rig::Lesson.all.to_h do |lesson|
      rig = lesson.good_hand
      [lesson.id, [lesson.to_h, lesson.result(rig), rig.frame.except(:slugs, :hoses), rig.openings]]
    end
  end

  def self.days
    (1..WORKS.size).to_h do |count|
      plan = Sandbag::Planner::DayPlan.new(works(count), benches: 1 + count % 2, minutes: 240)
      [count.to_s, [plan.slots.map { |slot| [slot.work.id, slot.piece, slot.bench, slot.start, slot.finish] },
        plan.late.map(&:id), plan.unfinished.map(&:id), plan.lower_bound, plan.most_finished, plan.exact?]]
    end
  end

  class << self
    private

    def sheets(&)
      defaults = Sandbag::Tables.ids("circuit_templates").to_h { |id| [id, Sandbag::Circuit::Template.filled(id)] }
      defaults.merge(AlteredSheets.all).transform_values(&)
    end

    def lever(sheet, air_ml)
      circuit = Sandbag::Circuit::Assembly.build(sheet)
      readings = FORCES_N.map do |force_n|
        travel_mm = circuit.travel_mm(circuit.pressure_mpa(force_n), air_ml: air_ml).round(1)
        [Sandbag::Feel::Reading.new(id: force_n.to_s, force_n: force_n, travel_mm: travel_mm), false]
      end
      Sandbag::Feel::LeverReport.new(sheet, circuit, readings)
    end

    def by_hand(sheet, air_ml)
      circuit = Sandbag::Circuit::Assembly.build(sheet)
      light, firm = [Sandbag::Feel::Springiness.light_n(circuit), circuit.kind.firm_n].map do |force_n|
        circuit.travel_mm(circuit.pressure_mpa(force_n), air_ml: air_ml)
      end
      Sandbag::Feel::Springiness.new(circuit, light_mm: light, firm_mm: firm, error_mm: 0.5, reference_mpa: 2.5)
    end

    def works(count)
      WORKS.first(count).each_with_index.map do |pieces, place|
        laid = pieces.map { |minutes, wait| {label: "work", minutes: minutes, wait: wait} }
        Sandbag::Planner::Work.new(id: place.to_s, promised: (150 if place == 2),
          family: place.even? ? "glycol" : "mineral",
          pieces: laid.map { |piece| Sandbag::Planner::Work::Piece.new(**piece) })
      end
    end
  end
end
