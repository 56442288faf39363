# frozen_string_literal: true

# Fit, worked the way a careful mechanic would.
class FitWork
  # Stand-ins of the service information for what has no default.
  SERVICE = {"caliper_bolt" => 35, "wheel_axle" => 70, "body_bolt" => 23, "slide_pin" => 22, "pad_pin" => 15}.freeze

  def initialize(job)
    @job = job
  end

  def work
    step while fit.step
    count_scrap
    hoses
    washers
    figures
    torques
    play_and_looks
    step while fit.step
  end

  def fit
    @job.state.fit
  end

  def add(kind, data)
    @job.add("fit", kind, data)
  end

  def step
    now = fit.step
    now.strip&.takes&.select(&:feature)&.each { |part| add("facing", {"part" => part.id, "faces" => part.faces}) }
    add("step", {"step" => now.id})
  end

  def count_scrap
    wanted = fit.put_back.reckoning.scrap_wanted
    add("scrapped", {"count" => wanted}) if wanted.positive?
  end

  # Every path a little shorter than the hose, bends as wide as wanted.
  def hoses
    fit.hoses.laid.each do |laid|
      laid.open.each do |row|
        add("path", {"line" => laid.line["id"], "position" => row["id"], "length" => laid.run.length_mm - 40})
      end
      add("bend", {"line" => laid.line["id"], "radius" => laid.run.least_bend_mm + 20}) unless laid.bend
    end
  end

  def washers
    fit.washers.stacks.reject(&:done?).each do |stack|
      add("washers", {"joint" => stack.at, "old" => stack.wanted, "new" => stack.wanted})
    end
  end

  SEEN = {"bar" => "metal", "bleed_screw" => "nipple"}.freeze

  # Steel bolts, a metal bar, nipples, and a service figure where the trade has none.
  def figures
    while (line = fit.torques.lines.find(&:asks))
      part, field = fit.torques.asked_at(line)
      add("fact", {"part" => part["id"], "field" => field, "value" => SEEN.fetch(field, "steel")})
    end
    fit.torques.lines.reject(&:range).each do |line|
      add("figure", {"fastener" => line.id, "from" => SERVICE.fetch(line.fastener["id"])})
    end
  end

  def torques
    fit.torques.lines.select { |line| line.when == fit.phase || !fit.bleeds? }.reject(&:done?).each do |line|
      aim = line.range.aim
      add("wrench", {"scale" => aim * 2, "name" => "click wrench"})
      add("torque", {"fastener" => line.id, "value" => aim})
    end
  end

  def play_and_looks
    low, high = fit.free_play.row["tip"] || [2, 4]
    add("free_play", {"at" => "tip", "value" => (low + high) / 2.0}) if fit.free_play.wanted?
    looks = fit.bleeds? ? fit.checks.of_phase(fit.phase) : fit.checks.all
    looks.reject(&:pass).each do |check|
      add(check.gap? ? "gap" : "check", {"check" => check.row["id"], "value" => check.gap? ? 30 : "good"})
    end
    add("tilt", {"angle" => 2}) if fit.reservoir.wanted? && fit.reservoir.tilt_deg.nil?
    electrics if fit.electrics.wanted?
  end

  def electrics
    add("ohms", {"state" => "rest", "open" => true}) unless fit.electrics.good?("rest")
    add("ohms", {"state" => "pulled", "ohms" => 0.3}) unless fit.electrics.good?("pulled")
    return unless fit.electrics.lamp_wanted? && [fit.phase, "before"].include?(fit.electrics.lamp_phase)
    add("lamp", {"travel" => fit.electrics.bite_mm / 2}) unless fit.electrics.lamp_good?
  end
end
