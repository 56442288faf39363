# frozen_string_literal: true

# What a hand without a gauge, and what a bottle of water, tell of a lever, over simulated circuits of each kind:
# bundle exec ruby bench/by_hand.rb [circuits]. Each circuit is off from its record as real ones are; half of them have
# no air. Printed: how often each is called clear, springy and untold, and how often "clear" is wrong.
require_relative "../app/boot"

class ByHandBench
  TEMPLATES = %w[road_front_twin road_front_single road_rear kart_rear snow_jackshaft bike_front].freeze
  # What a workshop finds: bottles of half a litre, one and a half, and two, cans of five and ten.
  MASSES_KG = [0.1, 0.2, 0.33, 0.5, 1.0, 1.5, 2.0, 5.0, 10.0].freeze
  STEP_MM = 0.5
  MOST = 30

  def initialize(circuits, seed: 1130)
    @circuits = circuits
    @random = Random.new(seed)
  end

  def run
    TEMPLATES.each do |template|
      @sheet = Sandbag::Circuit::Template.sheet(template)
      @circuit = Sandbag::Circuit::Assembly.build(@sheet)
      @reference = Sandbag::Circuit::Reference.pressure_mpa(@sheet, @circuit)
      line("#{template}: by hand") { |truth| by_hand(truth) }
      line("#{template}: by bottle") { |truth| by_bottle(truth) }
    end
  end

  private

  def line(name)
    told = Array.new(@circuits) do
      truth = circuit_of_its_own
      [truth[:air] > limit_ml, yield(truth)]
    end
    good = told.reject(&:first)
    counts = told.map(&:last).tally
    puts format("%-32s clear %5.1f %%  again %5.1f %%  untold %5.1f %%  wrongly clear %.2f %%  no air: clear %5.1f %%",
      name, *%w[clear again untold].map { |says| share(counts.fetch(says, 0)) },
      share(told.count { |bad, says| bad && says == "clear" }),
      100.0 * good.count { |_, says| says == "clear" } / good.size)
  end

  def share(count) = 100.0 * count / @circuits

  # mL over which the lever is not to be released.
  def limit_ml
    mm = @circuit.travel_of_volume_mm(Sandbag::Hydraulics::VolumeBudget.air_taken_ml(1.0, @reference))
    Sandbag::Feel::Verdict::AGAIN_MM * @circuit.kind.air_share / mm
  end

  def circuit_of_its_own
    {
      air: (@random.rand < 0.5) ? 0.0 : limit_ml * Math.exp(@random.rand * 3 - 0.5),
      stiffness: Math.exp(0.12 * normal), preload: 1 + 0.25 * (2 * @random.rand - 1),
      efficiency: 0.9 + 0.05 * (2 * @random.rand - 1), give: 0.04 * @random.rand
    }
  end

  def by_hand(truth)
    light, firm = [Sandbag::Feel::Springiness.light_n(@circuit), @circuit.kind.firm_n].map do |force|
      Array.new(3) { rounded(travel(force * [1 + 0.2 * normal, 0.2].max, truth)) }.sum / 3
    end
    return "untold" if firm < light
    said = Sandbag::Feel::Springiness.new(@circuit, light_mm: light, firm_mm: firm, error_mm: 0.15 / Math.sqrt(3),
      reference_mpa: @reference).id
    {"clear" => "clear", "springy" => "again"}.fetch(said, "untold")
  end

  # As the page asks: each pull once, then what tells most, until it asks no more.
  def by_bottle(truth)
    hung = Sandbag::Feel::Hung.new(MASSES_KG, @circuit, @circuit.finger_force_n(@reference))
    readings = []
    report = report_of(readings, hung)
    while report.next_force && readings.size < MOST
      readings += [read(report.next_force, truth)]
      report = report_of(readings, hung)
    end
    {"pass" => "clear", "bleed_again" => "again"}.fetch(report.verdict&.id, "untold")
  end

  def report_of(readings, hung)
    Sandbag::Feel::LeverReport.new(@sheet, @circuit, readings.map { |each| [each, false] }, hung: hung)
  end

  def read(force, truth)
    pulled = force * (1 + 0.02 * normal)
    Sandbag::Feel::Reading.new(id: force.to_s, force_n: force, travel_mm: rounded(travel(pulled, truth)), hung: true,
      step_mm: STEP_MM)
  end

  def rounded(travel)
    [((travel + 0.1 * normal) / STEP_MM).round * STEP_MM, 0.0].max
  end

  def travel(force, truth)
    lever = @circuit.lever
    pressure = [(truth[:efficiency] * lever.ratio * force - truth[:preload] * @circuit.master.preload_n) /
      @circuit.master.area_mm2, 0.0].max
    early = truth[:give] * @circuit.budget.gap_ml * (1 - Math.exp(-pressure / 0.1))
    softer = (truth[:stiffness] - 1) * @circuit.budget.stiffness_ml_mpa * pressure
    @circuit.travel_mm(pressure, air_ml: truth[:air]) + @circuit.travel_of_volume_mm(early + softer)
  end

  def normal
    Array.new(12) { @random.rand }.sum - 6.0
  end
end

ByHandBench.new((ARGV[0] || 1000).to_i).run if $PROGRAM_NAME == __FILE__
