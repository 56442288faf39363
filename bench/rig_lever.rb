# frozen_string_literal: true

# Feel's fit on what a lever gauge reads of circuits that run, whose air is known: bench/rig_lever.rb [seeds]. Prints
# how often the air is within two standard errors, and within the 95 % interval that Feel shows, which carries doubts
# that these circuits do not have.
require_relative "../app/boot"

CIRCUITS = {"road_front_twin" => "dot4", "road_front_single" => "dot4", "road_rear" => "dot4", "kart_rear" => "dot4",
            "snow_jackshaft" => "dot51", "bike_front" => "mineral"}.freeze
MOST_AIR_ML = 0.8

seeds = Integer(ARGV.fetch(0, 2_000))
within = shown = none = 0
off = []
seeds.times do |seed|
  random = Random.new(seed)
  template, fluid = CIRCUITS.to_a.sample(random: random)
  sheet = Sandbag::Circuit::Template.sheet(template).set("fluid", "stamped", fluid, "part_marking")
  circuit = Sandbag::Circuit::Assembly.build(sheet)
  air_ml = random.rand * MOST_AIR_ML * circuit.fluid_ml / 15
  length_mm = Sandbag::Rig::Plumbing.new(sheet).paths.first.length_mm
  rig = Sandbag::Rig::Simulation.new(sheet,
    air: [Sandbag::Rig::Slug.new(ml: air_ml, path: 0, at_mm: length_mm * (0.2 + 0.7 * random.rand))])
  top_n = Sandbag::Rig::LeverGauge.top_n(sheet, circuit)
  pull = Sandbag::Feel::GaugeCurve.new(Sandbag::Rig::LeverPull.new(rig, top_n: top_n, seed: seed.to_s).csv).to_h
  readings = pull[:readings].map { |each| [Sandbag::Feel::Reading.new(**each, gauge: true), false] }
  fit = Sandbag::Feel::LeverReport.new(sheet, circuit, readings).fit
  next none += 1 unless fit&.air_error_ml
  error = (fit.free[2] - rig.air_ml) / fit.air_error_ml
  off << error
  within += 1 if error.abs <= 2
  shown += 1 if rig.air_ml.between?(fit.low_ml, fit.high_ml)
end
told = seeds - none
puts format("%d seeds, %d told nothing; within two standard errors %.1f %%, within the interval shown %.1f %%", seeds,
  none, 100.0 * within / told, 100.0 * shown / told)
puts format("middle %.2f standard errors off", off.sort[off.size / 2])
