# frozen_string_literal: true

# How well a lever's air is told, over simulated sets of readings: bundle exec ruby bench/lever.rb [sets]
# Each line: the circuit, the true air, the readings, how often the 95 % interval covers the truth, and how often the
# verdict is pass.
require_relative "../app/boot"

class LeverBench
  CIRCUITS = {"twin disc" => %w[road_front_twin dot4], "bicycle" => %w[bike_front mineral],
              "foot brake" => %w[road_rear dot4], "kart" => %w[kart_rear dot4]}.freeze
  AIR_ML = [0.0, 0.05, 0.2, 0.5, 1.0].freeze
  COUNTS = [4, 6, 8, 12].freeze
  # What the truth may differ by from the record.
  OFF = {"as recorded" => {}, "preload + 25 %" => {preload: 1.25}, "preload − 25 %" => {preload: 0.75},
         "efficiency 0.85" => {efficiency: 0.85}, "early give" => {give: 0.04}}.freeze

  def initialize(sets, seed: 1126)
    @sets = sets
    @random = Random.new(seed)
  end

  def run
    CIRCUITS.each do |name, (template, fluid)|
      @sheet = Sandbag::Circuit::Template.sheet(template).set("fluid", "stamped", fluid, "part_marking")
      @circuit = Sandbag::Circuit::Assembly.build(@sheet)
      @reference = Sandbag::Circuit::Reference.pressure_mpa(@sheet, @circuit)
      OFF.each { |off, truth| AIR_ML.each { |air| COUNTS.each { |count| line(name, off, truth, air, count) } } }
      sequence(name)
    end
  end

  def line(name, off, truth, air, count)
    return if off != "as recorded" && count < 8
    covered = passed = 0
    @sets.times do
      fit = Sandbag::Feel::LeverFit.new(@circuit, forces(count).map { |force| read(force, air, **truth) })
      next covered += 1 unless fit.air_error_ml
      covered += 1 if air.between?(fit.low_ml, fit.high_ml)
      passed += 1 if Sandbag::Feel::Verdict.new(fit, @circuit, @reference).id == "pass"
    end
    puts format("%-11s %-16s air %.2f  %2d readings  covers %5.1f %%  passes %5.1f %%", name, off, air, count,
      100.0 * covered / @sets, 100.0 * passed / @sets)
  end

  # Readings where the page asks for them, until it asks no more.
  def sequence(name)
    [0.0, bad_ml].each do |air|
      passed = 0
      asked = []
      (@sets / 4).times do
        report = nil
        readings = forces(4).map { |force| read(force, air) }
        loop do
          report = Sandbag::Feel::LeverReport.new(@sheet, @circuit, readings.map { |each| [each, false] })
          break unless report.next_force && readings.size < 30
          readings += [read(report.next_force, air)]
        end
        asked << readings.size
        passed += 1 if report.verdict&.id == "pass"
      end
      puts format("%-11s asked until enough, air %.3f: passes %.1f %%, readings median %d, most %d", name, air,
        100.0 * passed / (@sets / 4), asked.sort[asked.size / 2], asked.max)
    end
  end

  # Air that costs twice what may pass.
  def bad_ml
    verdict = Sandbag::Feel::Verdict.new(nil, @circuit, @reference)
    mm = @circuit.travel_of_volume_mm(Sandbag::Hydraulics::VolumeBudget.air_taken_ml(1.0, @reference))
    verdict.again_mm / mm
  end

  def forces(count)
    top = @circuit.finger_force_n(@reference)
    light = Sandbag::Feel::LowForces.of(@circuit)
    firm = [0.4, 0.7, 1.0, 0.55, 0.85, 1.1, 0.3].map { |share| share * top }
    low = [count / 2, light.size].min
    light.first(low) + firm.first(count - low)
  end

  def read(force, air, preload: 1.0, efficiency: nil, give: 0.0)
    pulled = force * (1 + 0.015 * normal)
    pressure = pressure_of(pulled, preload, efficiency)
    early = give * @circuit.budget.gap_ml * (1 - Math.exp(-pressure / 0.1))
    travel = @circuit.travel_mm(pressure, air_ml: air) + @circuit.travel_of_volume_mm(early) + 0.15 * normal
    Sandbag::Feel::Reading.new(id: force.to_s, force_n: force.to_f, travel_mm: [travel, 0].max)
  end

  def pressure_of(force, preload, efficiency)
    lever = @circuit.lever
    [((efficiency || lever.efficiency) * lever.ratio * force - preload * @circuit.master.preload_n) /
      @circuit.master.area_mm2, 0.0].max
  end

  def normal
    Array.new(12) { @random.rand }.sum - 6.0
  end
end

LeverBench.new((ARGV[0] || 2000).to_i).run if $PROGRAM_NAME == __FILE__
