# frozen_string_literal: true

require_relative "../../support/led_hand"

# Each bleeding method as the page leads it, on a circuit that runs: what its verdict says it carries comes out.
RSpec.describe Sandbag::Bleed::Cycle, "led on a circuit that runs" do
  {
    "hold_cycle" => "road_front_single", "pump_crack" => "road_front_single", "check_valve" => "kart_rear",
    "jar_open" => "road_front_single", "hand_vacuum" => "road_clutch", "power_vacuum" => "road_clutch",
    "pressure_cap" => "road_front_single", "gravity_start" => "kart_rear", "gravity_flush" => "road_front_single",
    "reverse_syringe" => "road_clutch", "two_syringe" => "bike_front", "caliper_in_hand" => "road_front_single"
  }.each do |method, template|
    it "by #{method} brings the air of #{template} out" do
      sheet = Sandbag::Circuit::Template.filled(template)
      sheet = sheet.set("vehicle", "abs", "none", "measured") unless sheet.clutch?
      way = Sandbag::Airway::Way.all(sheet).first
      row = Sandbag::Tables.find("bleed_methods", method)
      expect(Sandbag::Airway::MethodVerdict.new(way, row).stuck).to be_nil
      job = JobInMemory.new(sheet)
      job.ready_to_bleed("bleed")
      job.choose_what_is_wanted
      job.add("bleed", "method", {"method" => method})
      job.look_before_fluid
      job.add("bleed", "tool_tight", {"first" => 0.06, "after" => 0.06}) if job.state.bleed.checks.tight_wanted?
      slug = Sandbag::Rig::Slug.new(ml: 0.2, path: 0, at_mm: way.profile.outward.last.at_mm / 2)
      rig = Sandbag::Rig::Simulation.new(sheet, air: [slug])
      expect(LedHand.new(job, rig, method).bleed).to be true
      expect(rig.air_ml).to be < 0.01
      expect(rig.events.map(&:what) - %w[overfull]).to eq []
    end
  end
end
