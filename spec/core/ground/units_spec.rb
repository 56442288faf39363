# frozen_string_literal: true

RSpec.describe Sandbag::Units do
  def mm(typed)
    described_class.parse(typed, :length)
  end

  {
    "19" => 19.0,
    "17,5" => 17.5,
    "17.5" => 17.5,
    " 17.46 mm" => 17.46,
    "5/8" => 15.875,
    "11/16 in" => 17.4625,
    "0.55\"" => 13.97,
    "0.55 in" => 13.97,
    "1 1/4" => 31.75,
    "1-1/4 in" => 31.75,
    "2 cm" => 20.0,
    ".5 in" => 12.7,
    "-3" => -3.0
  }.each do |typed, value|
    it "reads a length of #{typed} as #{value} mm" do
      expect(mm(typed)).to be_within(1e-12).of(value)
    end
  end

  it "reads torque, pressure, force and volume in the units mechanics use" do
    expect(described_class.parse("70 in-lb", :torque)).to be_within(1e-4).of(7.9089)
    expect(described_class.parse("25 lb-ft", :torque)).to be_within(1e-3).of(33.895)
    expect(described_class.parse("361 psi", :pressure)).to be_within(1e-3).of(2.489)
    expect(described_class.parse("25 bar", :pressure)).to eq 2.5
    expect(described_class.parse("10 kgf", :force)).to be_within(1e-9).of(98.0665)
    expect(described_class.parse("2 fl oz", :volume)).to be_within(1e-4).of(59.1471)
  end

  it "reads what hangs on a lever by its weight, or by the water in a bottle" do
    {"1.5 kg" => 1.5, "1.5 L" => 1.5, "500 mL" => 0.5, "250 g" => 0.25, "10 lb" => 4.5359237}.each do |typed, kg|
      expect(described_class.parse(typed, :load)).to be_within(1e-9).of(kg), typed
    end
  end

  it "reads a torque however its unit is spelled" do
    {
      7.9089 => ["70 in-lb", "70 in·lb", "70 in.lb", "70 inlb", "70 lbf·in", "70 in lbf", "70 LB-IN"],
      33.895 => ["25 lb-ft", "25 lb·ft", "25 ft·lbf", "25 ft lb", "25 lbf.ft"],
      12.0 => ["12 N·m", "12 Nm", "12 N.m", "12 N m", "12 N-m", "12 n*m"]
    }.each do |newton_metres, spellings|
      spellings.each do |typed|
        expect(described_class.parse(typed, :torque)).to be_within(1e-3).of(newton_metres), typed
      end
    end
    expect(problems { described_class.parse("3 lbf", :mass) }).not_to be_empty
  end

  it "asks which is meant where a comma stands before exactly three figures" do
    ["1,200 mm", "1,200", "17,460 mm", "-2,500"].each do |typed|
      found = problems { mm(typed) }.first
      expect(found.message).to include("may be"), typed
      expect(found.accepted).to include(typed.tr(",", ".")).and include(typed.delete(","))
    end
    {"0,125" => 0.125, "17,46" => 17.46, "1,2005" => 1.2005, ",500" => 0.5, "1.200" => 1.2}.each do |typed, value|
      expect(mm(typed)).to eq(value), typed
    end
  end

  it "refuses what is no number, saying what would be accepted" do
    [
      "",
      "abc",
      "12.7.3",
      "1,234.5",
      "3 furlong",
      "1/0",
      "1/00",
      "NaN",
      "Infinity",
      "1e308",
      "0x1A",
      "1_000",
      "9" * 41
    ].each do |typed|
      found = problems { mm(typed) }
      expect(found.size).to eq(1), "#{typed} was read"
      expect(found.first.accepted).to include("mm")
    end
  end

  it "refuses a number that is not finite" do
    [Float::NAN, Float::INFINITY, -Float::INFINITY, Complex(1, 1)].each do |number|
      expect(problems { mm(number) }.map(&:message)).to eq ["that is not a finite number"]
    end
  end

  it "goes round from one unit to the other and back" do
    for_all(value: 0.001..5000.0) do |value:|
      described_class::DIMENSIONS.each do |dimension, units|
        units.each_key do |unit|
          there = described_class.convert(value, dimension, unit)
          back = described_class.parse("#{format("%.15f", there)} #{unit}", dimension)
          expect(back).to be_within(1e-9 * [value, 1].max + 1e-9).of(value)
        end
      end
    end
  end

  # Each spelling, and ten of it in the core's unit, from the definitions of inch, pound and pint.
  inch, pound = 25.4, 4.4482216152605
  {
    length: {"mm" => 10, "cm" => 100, "m" => 10_000, "in" => 10 * inch, "inch" => 10 * inch, "\"" => 10 * inch},
    metres: {"m" => 10, "mm" => 0.01, "cm" => 0.1, "in" => inch / 100, "\"" => inch / 100},
    area: {"mm²" => 10, "mm2" => 10, "cm2" => 1000, "cm²" => 1000}, angle: {"°" => 10, "deg" => 10},
    volume: {"mL" => 10, "ml" => 10, "cc" => 10, "cm3" => 10, "l" => 10_000, "fl oz" => 295.735295625},
    force: {"N" => 10, "n" => 10, "kgf" => 98.0665, "kg" => 98.0665, "lbf" => 10 * pound, "lb" => 10 * pound},
    pressure: {"MPa" => 10, "mpa" => 10, "bar" => 1, "kpa" => 0.01, "psi" => 10 * pound / inch**2},
    torque: {"N·m" => 10, "nm" => 10, "n·m" => 10, "n-m" => 10, "lb-ft" => 0.12 * pound * inch,
             "ft-lb" => 0.12 * pound * inch, "lbf·ft" => 0.12 * pound * inch, "in-lb" => 0.01 * pound * inch,
             "lb-in" => 0.01 * pound * inch, "lbf·in" => 0.01 * pound * inch},
    resistance: {"Ω" => 10, "ohm" => 10, "ohms" => 10, "r" => 10, "kΩ" => 10_000, "kohm" => 10_000, "k" => 10_000,
                 "MΩ" => 10_000_000, "mohm" => 10_000_000},
    mass: {"kg" => 10, "g" => 0.01, "lb" => 4.5359237}, acceleration: {"m/s²" => 10, "m/s2" => 10, "g" => 98.0665},
    expansion: {"mL/(m·MPa)" => 10}, stiffness: {"mL/MPa" => 10}, percent: {"%" => 10},
    temperature: {"°C" => 10, "c" => 10}, time: {"s" => 10, "min" => 600}, number: {"" => 10}
  }.each do |dimension, spellings|
    it "reads every unit of #{dimension}" do
      expect(spellings.keys).to match_array described_class::DIMENSIONS.fetch(dimension).keys
      spellings.each do |unit, amount|
        expect(described_class.parse("10 #{unit}", dimension)).to be_within(1e-9 * amount).of(amount), unit
      end
    end
  end
end
