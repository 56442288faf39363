# frozen_string_literal: true

module Sandbag
  # Reads what people type ("17,5", "5/8", "0.55 in", "70 in-lb") into the core's own units. The only place that
  # knows an inch. Factors are exact Rationals, so that a typed size and its conversion agree to the last digit.
  module Units
    INCH_MM = Rational(254, 10)
    POUND_N = Rational(44_482_216_152_605, 10_000_000_000_000)
    PSI_MPA = POUND_N / INCH_MM**2
    FLUID_OUNCE_ML = Rational(295_735_295_625, 10_000_000_000)

    # dimension => units a shop may have figures shown in => decimals to add to those of the core's unit
    SHOWN = {
      "length" => {"mm" => 0, "in" => 2},
      "torque" => {"N·m" => 0, "lbf·ft" => 0, "lbf·in" => -1},
      "pressure" => {"MPa" => 0, "bar" => -1, "psi" => -2},
      "volume" => {"mL" => 0, "fl oz" => 2}
    }.freeze

    # dimension => {spelling => factor to the core's unit}; the first spelling is the core's unit.
    DIMENSIONS = {
      length: {
        "mm" => 1,
        "cm" => 10,
        "m" => 1000,
        "in" => INCH_MM,
        "inch" => INCH_MM,
        "\"" => INCH_MM
      },
      metres: {
        "m" => 1,
        "mm" => Rational(1, 1000),
        "cm" => Rational(1, 100),
        "in" => INCH_MM / 1000,
        "\"" => INCH_MM / 1000
      },
      area: {
        "mm²" => 1,
        "mm2" => 1,
        "cm2" => 100,
        "cm²" => 100
      },
      angle: {
        "°" => 1,
        "deg" => 1
      },
      volume: {
        "mL" => 1,
        "ml" => 1,
        "cc" => 1,
        "cm3" => 1,
        "l" => 1000,
        "fl oz" => FLUID_OUNCE_ML
      },
      force: {
        "N" => 1,
        "n" => 1,
        "kgf" => Rational(980_665, 100_000),
        "kg" => Rational(980_665, 100_000),
        "lbf" => POUND_N,
        "lb" => POUND_N
      },
      # A litre of water hangs as a kilogram.
      load: {
        "kg" => 1,
        "g" => Rational(1, 1000),
        "l" => 1,
        "ml" => Rational(1, 1000),
        "lb" => POUND_N / Rational(980_665, 100_000)
      },
      pressure: {
        "MPa" => 1,
        "mpa" => 1,
        "bar" => Rational(1, 10),
        "kpa" => Rational(1, 1000),
        "psi" => PSI_MPA
      },
      torque: {
        "N·m" => 1,
        "nm" => 1,
        "n·m" => 1,
        "n-m" => 1,
        "lb-ft" => POUND_N * INCH_MM * 12 / 1000,
        "ft-lb" => POUND_N * INCH_MM * 12 / 1000,
        "lbf·ft" => POUND_N * INCH_MM * 12 / 1000,
        "in-lb" => POUND_N * INCH_MM / 1000,
        "lb-in" => POUND_N * INCH_MM / 1000,
        "lbf·in" => POUND_N * INCH_MM / 1000
      },
      resistance: {
        "Ω" => 1,
        "ohm" => 1,
        "ohms" => 1,
        "r" => 1,
        "kΩ" => 1000,
        "kohm" => 1000,
        "k" => 1000,
        "MΩ" => 1_000_000,
        "mohm" => 1_000_000
      },
      mass: {
        "kg" => 1,
        "g" => Rational(1, 1000),
        "lb" => Rational(45_359_237, 100_000_000)
      },
      acceleration: {
        "m/s²" => 1,
        "m/s2" => 1,
        "g" => Rational(980_665, 100_000)
      },
      expansion: {
        "mL/(m·MPa)" => 1
      },
      stiffness: {
        "mL/MPa" => 1
      },
      percent: {
        "%" => 1
      },
      temperature: {
        "°C" => 1,
        "c" => 1
      },
      time: {
        "s" => 1,
        "min" => 60
      },
      number: {
        "" => 1
      }
    }.freeze

    DECIMAL = /\d+(?:[.,]\d+)?|[.,]\d+/
    WHOLE = %r{(?:(?<whole>\d+)[\s-]+(?=\d+/))?}
    FIGURE = %r{(?<top>\d+)/(?<bottom>\d+)|(?<decimal>#{DECIMAL})}
    TYPED = /\A(?<sign>[+-]?)\s*#{WHOLE}(?:#{FIGURE})\s*(?<unit>.*)\z/
    LONGEST = 40

    # @param typed [String, Numeric] what was typed; a bare number is in the core's unit, a bare fraction of a length
    #   in inches
    # @param dimension [Symbol] a key of DIMENSIONS
    # @return [Float] in the core's unit
    # Refuses text that is no number, two decimal marks, a comma that may stand before thousands, a zero denominator,
    # an unknown unit, and what is not finite.
    def self.parse(typed, dimension)
      readings = readings(typed, dimension)
      readings.one? ? readings.first : raise(doubtful(typed))
    end

    # A comma with exactly three figures after it may be a decimal mark or may stand before thousands.
    THOUSANDS = /\A[+-]?\s*[1-9]\d{0,2},\d{3}(?!\d)/

    # @return [Array<Float>] every number that was perhaps meant, in the core's unit: one, but for THOUSANDS
    # Refuses what `parse` refuses, the doubt excepted.
    def self.readings(typed, dimension)
      return [finite(typed, dimension)] unless typed.is_a?(String)
      match = TYPED.match(typed.strip) if typed.length <= LONGEST
      unless match && match[:bottom].to_s !~ /\A0+\z/
        raise Refusal.at("", "“#{typed[0, LONGEST]}” is not a number", accepted(dimension))
      end
      decimal = (magnitude(match) * factor(match, dimension)).to_f
      THOUSANDS.match?(typed.strip) ? [decimal, decimal * 1000] : [decimal]
    end

    # @return [Refusal] that asks which number was meant
    def self.doubtful(typed)
      Refusal.at(
        "",
        "“#{typed}” may be #{typed.tr(",", ".")} or #{typed.delete(",")}",
        "#{typed.tr(",", ".")}, or #{typed.delete(",")}"
      )
    end

    # @return [Float] a value in the core's unit expressed in another of its dimension
    def self.convert(value, dimension, unit)
      (value.to_r / DIMENSIONS.fetch(dimension).fetch(unit)).to_f
    end

    def self.unit(dimension)
      DIMENSIONS.fetch(dimension).keys.first
    end

    def self.accepted(dimension)
      spellings = DIMENSIONS.fetch(dimension).keys.reject(&:empty?)
      spellings.empty? ? "a number such as 0.9" : "a number, such as 12.7, in #{spellings.join(", ")}"
    end

    def self.finite(number, dimension)
      return number.to_f if number.real? && number.to_f.finite?
      raise Refusal.at("", "that is not a finite number", accepted(dimension))
    end
    private_class_method :finite

    def self.magnitude(match)
      size = match[:bottom] ? Rational(match[:top].to_i, match[:bottom].to_i) : match[:decimal].tr(",", ".").to_r
      (size + match[:whole].to_i) * ((match[:sign] == "-") ? -1 : 1)
    end
    private_class_method :magnitude

    def self.factor(match, dimension)
      units = DIMENSIONS.fetch(dimension)
      spelling = match[:unit].strip
      return (match[:bottom] && units["in"]) || 1 if spelling.empty?
      units[spelling] || units[spelling.downcase] || like(spelling, units, dimension) ||
        raise(Refusal.at("", "“#{spelling}” is not a unit known here", accepted(dimension)))
    end
    private_class_method :factor

    # Dots, dashes, stars and gaps between the words of a unit are all the same to it; so are lb and lbf in a torque.
    def self.like(spelling, units, dimension)
      bare = lambda do |unit|
        letters = unit.downcase.gsub(/[·.*\s-]/, "")
        (dimension == :torque) ? letters.gsub("lbf", "lb") : letters
      end
      units.find { |known, _| bare[known] == bare[spelling] }&.last
    end
    private_class_method :like
  end
end
