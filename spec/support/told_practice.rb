# frozen_string_literal: true

require "date"
require_relative "plainly"

# What the simulated circuits of Practice and the instruments of the bench tell, worked by good and by clumsy hands.
module ToldPractice
  ROOMS = %w[bleeding_methods clumsy_hands mysteries bench_readings].freeze
  TEMPLATES = %w[
    road_front_twin road_front_single road_rear road_clutch kart_rear bike_front snow_jackshaft scooter_front
    hand_rear_added
  ].freeze
  SEEDS = (1..4)
  # What a clumsy hand does: at random, one after the other.
  ACTIONS = 30
  # Not for an hour, and not by the litre.
  MOST = {"s" => 4, "ml" => 20}.freeze
  # A truth so far beyond a step of the display, as a share of it, is read at the next step now and then.
  BEYOND = 0.3
  READINGS = 400

  # @param room [String] of ROOMS
  # @return [Hash{String => Object}] part of the room => what it tells
  def self.parts(room)
    public_send(room).transform_values { |told| Plainly.read(told) }
  end

  # Every bleeding method with air in the hoses, on the first template that it suits.
  def self.bleeding_methods
    pairs = Sandbag::Rig::Mechanic.ways.map { |way| [TEMPLATES.find { |template| suits?(template, way) }, way] }
    pairs.to_h do |template, way|
      rig = Sandbag::Rig::Mechanic.new(Sandbag::Rig::Lesson.free(template, "spongy").start, way: way).bleed
      ["#{template} #{way}", [rig.frame, rig.openings, rig.events.map(&:what)]]
    end
  end

  def self.clumsy_hands
    lessons = Sandbag::Rig::Lesson.all + TEMPLATES.map { |template| Sandbag::Rig::Lesson.free(template, "spongy") }
    lessons.to_h { |lesson| [lesson.id, clumsy(lesson, Random.new(1))] }
  end

  # What a lever hides, one thing or two, and how it starts.
  def self.mysteries
    each_of(%w[road_front_single kart_rear road_clutch], 1..40, [false, true]) do |template, seed, pairs|
      mystery = Sandbag::Rig::Mystery.new("told #{seed}", template: template, pairs: pairs)
      start = mystery.start
      [mystery.causes, mystery.shows, mystery.faults.to_h, start.frame, start.water_percent]
    end
  end

  def self.bench_readings
    places = Sandbag::Tables.ids("gauge_places")
    truths = each_of(TEMPLATES, SEEDS) do |template, seed|
      bench = Sandbag::Rig::Circuit.new(Sandbag::Circuit::Template.filled(template), today: Date.new(2026, 3, 14),
        seed: seed.to_s)
      running = bench.running
      [places.map { |place| bench.truth("bore_gauge", place) }, bench.water_percent, bench.ohms("pulled"),
        running.air_ml, running.faults.to_h]
    end
    truths.merge(Sandbag::Rig::Instrument::KINDS.to_h { |id, kind| [id, scatter(id, kind)] })
  end

  class << self
    private

    def suits?(template, way)
      Sandbag::Circuit::Template.filled(template).suits?(Sandbag::Tables.find("bleed_methods", way))
    end

    # @return [Hash{String => Object}] what a block tells of every combination, by the combination's words
    def each_of(*lists)
      lists.first.product(*lists.drop(1).map(&:to_a)).to_h { |given| [given.join(" "), yield(*given)] }
    end

    def clumsy(lesson, random)
      rig = lesson.start
      Array.new(ACTIONS) do
        rig.act(action(lesson, rig, random))
        [rig.frame, rig.events.map(&:what), Sandbag::Rig::Hint.new(lesson, rig).to_do]
      end + [lesson.result(rig)]
    end

    def action(lesson, rig, random)
      name = Sandbag::Rig::Hands::ACTIONS.sample(random: random)
      figures = Sandbag::Rig::Hands::FIGURES.fetch(name).to_h do |figure, between|
        least, most = (between || (0..rig.travel_mm)).minmax
        [figure, random.rand(least.to_f..[most, MOST.fetch(figure, most)].min.to_f)]
      end
      what = {"fit" => "practice_fits", "place" => "practice_places"}[name]
      {"do" => name, "end" => rig.plumbing.paths.sample(random: random).id,
       "what" => what && Sandbag::Tables.ids(what).sample(random: random), **figures}
    end

    # How often each value is read, of a truth that lies between two steps of the display.
    def scatter(id, kind)
      truth = (10 / kind[:step]).round * kind[:step] + BEYOND * kind[:step]
      readings = Array.new(READINGS) { |turn| Sandbag::Rig::Instrument.new(id, seed: "#{id}/#{turn}").read(truth) }
      [readings.first, readings.map { |reading| reading[:value].to_s }.tally]
    end
  end
end
