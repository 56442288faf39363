# frozen_string_literal: true

module Sandbag
  # Reads one typed value by the rules of a knowledge row: its type, dimension and limits.
  class QuantityReader
    # In one list, where the row says nothing else: the pistons of a caliper.
    MOST = 12

    # Between figures of a list; a unit stays with its figure.
    APART = %r{,\s+|\s*[;/]+\s*|\s+(?=[\d.,])}

    # @param rules [Hash] type, dimension, min, above, max, choices, most (see knowledge/circuit_fields.yml)
    # @param name [String] how the value is called in a refusal
    def initialize(rules, name)
      @rules = rules
      @name = name
      @dimension = rules["dimension"]&.to_sym
    end

    # @return [Float, Array<Float>, String] in the core's unit
    # Refuses, at pointer "", what is no value of the type or lies outside its limits.
    def read(typed)
      case @rules["type"]
      when "measure" then measure(typed)
      when "measures" then measures(typed)
      when "choice" then choice(typed)
      when "date" then date(typed)
      end
    end

    # @return [String] what would be accepted, in words
    def accepted
      low = @rules["min"] ? "from #{plain(@rules["min"])}" : "above #{plain(@rules["above"])}"
      "#{low} to #{plain(@rules["max"])} #{Units.unit(dimension)}".strip
    end

    private

    attr_reader :dimension

    def measure(typed)
      raise Refusal.at("", "#{@name} is missing", accepted) if typed.nil? || typed == ""
      raise Refusal.at("", "#{@name} is not a number", accepted) unless typed.is_a?(String) || typed.is_a?(Numeric)
      meant = Units.readings(typed, dimension)
      within = meant.select { |value| within_limits?(value) }
      raise Refusal.at("", "#{@name} of #{typed} is out of range", accepted) if within.empty?
      raise Units.doubtful(typed) if within.size > 1
      within.first
    end

    def within_limits?(value)
      value <= @rules["max"] && (@rules["min"] ? value >= @rules["min"] : value > @rules["above"])
    end

    def measures(typed)
      pieces = typed.is_a?(String) ? typed.strip.split(APART) : Array(typed)
      most = @rules.fetch("most", MOST)
      raise Refusal.at("", "#{@name}: none given", "figures such as 34 34 30 30") if pieces.empty?
      raise Refusal.at("", "#{@name}: #{pieces.size} are too many", "up to #{most}") if pieces.size > most
      pieces.map { |piece| measure(piece) }
    end

    def choice(typed)
      return typed if @rules["choices"].include?(typed)
      raise Refusal.at("", "#{@name} cannot be #{Wording.quoted(typed)}", @rules["choices"].join(", "))
    end

    EARLIEST_YEAR = 1970

    def date(typed)
      return typed if typed == "unknown"
      day = Day.read(typed)
      return day.iso8601 if day && day.year >= EARLIEST_YEAR
      raise Refusal.at("", "#{@name} is not a day from #{EARLIEST_YEAR} on", "#{Day::ACCEPTED}; or unknown")
    end

    def plain(number)
      number.to_s.delete_suffix(".0")
    end
  end
end
