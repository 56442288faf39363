# frozen_string_literal: true

# A lever that hides an amount of the spec's own.
HiddenAmount = Struct.new(:sheet, :faults, :air, :water, keyword_init: true) do
  def side = sheet.clutch? ? "clutch" : "brake"

  def shows = {}

  def start = Sandbag::Rig::Simulation.new(sheet, air: air, faults: faults, water: water)
end

RSpec.describe Sandbag::Rig::LeverTests do
  # @param air [Array(Float, Float), nil] mL, and share of the way from the master; faults: of Rig::Faults
  def found(finding, template:, air: nil, water: 0.0, **faults)
    sheet = Sandbag::Circuit::Template.filled(template)
    length_mm = Sandbag::Rig::Plumbing.new(sheet).paths.first.length_mm
    slugs = [air].compact.map { |ml, share| Sandbag::Rig::Slug.new(ml: ml, path: 0, at_mm: share * length_mm) }
    described_class.new(HiddenAmount.new(sheet: sheet, faults: Sandbag::Rig::Faults.new(**faults), air: slugs,
      water: water)).value(finding)
  end

  # What edge it is => the finding, and what is hidden just under the edge and just over it with what the test tells.
  {
    "road_front_single" => {
      "a dead stroke of 6 mm" =>
        ["lever_feel", {{free_play_mm: 5.9} => "firm", {free_play_mm: 6.2} => "dead_then_firm"}],
      "half more give than a sound lever" => ["lever_feel", {{softer: 1.49} => "firm", {softer: 1.51} => "spongy"}],
      "three fifths of the gap to the grip" =>
        ["lever_travel", {{knocked_back: 2.37} => "normal", {knocked_back: 2.41} => "long"}],
      "nine tenths of the gap to the grip" =>
        ["lever_travel", {{knocked_back: 4.98} => "long", {knocked_back: 5.08} => "to_grip"}],
      "a lever that pumps up by 2 mm" =>
        ["pump_up", {{knocked_back: 0.2} => "same", {knocked_back: 0.25} => "rises_holds"}],
      "2 mm in a minute" => ["hold_sink", {{leak_ml_s_mpa: 0.00019} => "holds", {leak_ml_s_mpa: 0.00021} => "slow"}],
      "12 mm in a minute" => ["hold_sink", {{leak_ml_s_mpa: 0.00118} => "slow", {leak_ml_s_mpa: 0.00123} => "fast"}],
      "half a second to come back" => ["return_action", {{return_s: 0.55} => "free", {return_s: 0.56} => "slow"}],
      "two seconds to come back" => ["return_action", {{return_s: 2.03} => "slow", {return_s: 2.05} => "hangs"}],
      "a joint that weeps" =>
        ["wet_joint", {{leak_ml_s_mpa: 0.000021} => "dry", {leak_ml_s_mpa: 0.000023} => "weep"}],
      "a joint that drips" => ["wet_joint", {{leak_ml_s_mpa: 0.0021} => "weep", {leak_ml_s_mpa: 0.0022} => "drip"}],
      "a boot that is damp" => ["wet_lever", {{leak_ml_s_mpa: 0.000021, leak_at: "lever"} => "dry",
                                              {leak_ml_s_mpa: 0.000023, leak_at: "lever"} => "damp_boot"}],
      "a caliper that is wet" => ["wet_slave", {{leak_ml_s_mpa: 0.000021, leak_at: "far_end"} => "dry",
                                                {leak_ml_s_mpa: 0.000023, leak_at: "far_end"} => "fluid"}],
      "bubbles at the port" => ["bubbles", {{air: [0.0095, 0.0]} => "none", {air: [0.0105, 0.0]} => "few_then_stop"}],
      "air that is shut in with the master" =>
        ["mc_isolated", {{air: [0.3, 0.095]} => "soft", {air: [0.3, 0.105]} => "firm"}],
      "2 % water" => ["fluid_water", {{water: 1.99} => "1to2", {water: 2.0} => "2to3"}]
    },
    "road_clutch" => {
      "6 mm further than a sound one" =>
        ["lever_travel", {{free_play_mm: 5.95} => "normal", {free_play_mm: 6.05} => "long"}],
      "all the way without freeing" =>
        ["lever_travel", {{free_play_mm: 9.9} => "long", {free_play_mm: 10.1} => "to_grip"}],
      "the lift that frees it" => ["slave_lift", {{air: [0.29, 0.5]} => "in_spec", {air: [0.30, 0.5]} => "short"}],
      "a tenth of that lift" => ["slave_lift", {{air: [1.33, 0.5]} => "short", {air: [1.39, 0.5]} => "none"}],
      "gears that separate" => ["clutch_gear", {{air: [0.29, 0.5]} => "separates", {air: [0.30, 0.5]} => "partial"}],
      "half of that lift" => ["clutch_gear", {{air: [0.87, 0.5]} => "partial", {air: [0.90, 0.5]} => "none"}]
    }
  }.each do |template, edges|
    edges.each do |edge, (finding, sides)|
      it "tells of a #{template.tr("_", " ")} #{edge}: #{sides.values.join(", then ")}" do
        expect(sides.keys.to_h { |hidden| [hidden, found(finding, template: template, **hidden)] }).to eq sides
      end
    end
  end

  it "lifts nothing where the slave is stuck" do
    expect(found("slave_lift", template: "road_clutch", slave_stuck: true)).to eq "none"
  end
end
