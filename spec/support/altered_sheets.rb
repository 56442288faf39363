# frozen_string_literal: true

require "date"

# Circuits that could stand on a bench: templates with some of their values changed at random, within their limits.
module AlteredSheets
  SEEDS = (1..6)
  CHANGES = 8
  DAY = Date.new(2026, 3, 14)
  # A measure is made this much of what it was.
  SCALES = [0.6, 0.8, 0.93, 1.08, 1.3, 1.8].freeze

  # @return [Hash{String => Sandbag::Circuit::Sheet}] template and seed => sheet
  def self.all
    @all ||= Sandbag::Tables.ids("circuit_templates").product(SEEDS.to_a).to_h do |id, seed|
      ["#{id} altered #{seed}", altered(Sandbag::Circuit::Template.filled(id), Random.new(seed))]
    end
  end

  def self.altered(sheet, random)
    places = sheet.parts.flat_map { |part| sheet.values(part).values.map { |value| [part, value] } }
    places.sample(CHANGES, random: random).reduce(sheet) do |now, (part, value)|
      typed = other(value, random)
      typed ? changed(now, part["id"], value.field.name, typed) : now
    end
  end

  # What its limits refuse, or what no circuit can be built of, stays as it was.
  def self.changed(sheet, part, field, typed)
    sheet.change(part, field, typed, "measured").tap { |other| Sandbag::Circuit::Assembly.build(other) }
  rescue Sandbag::Refusal
    sheet
  end

  def self.other(value, random)
    case value.field.type
    when "choice" then value.field.choices.sample(random: random)
    when "measure" then value.value && scaled(value.value, random)
    when "measures" then value.value&.map { |each| scaled(each, random) }
    when "date" then (DAY - random.rand(2000)).iso8601
    end
  end

  def self.scaled(number, random)
    (number * SCALES.sample(random: random)).round(1)
  end
  private_class_method :altered, :changed, :other, :scaled
end
