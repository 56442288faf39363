# frozen_string_literal: true

RSpec.describe Sandbag::Rig::Mystery do
  # A seed that hides each cause.
  seeds = (1..200).each_with_object({}) { |seed, found|
    found[described_class.new(seed.to_s).causes.first] ||= seed.to_s
  }

  # @param findings [Array<String>, nil] nil for all that can be tried on it
  def tried(seed, template = described_class::TEMPLATE, findings = nil)
    mystery = described_class.new(seed, template: template)
    tests = Sandbag::Rig::LeverTests.new(mystery)
    findings ||= Sandbag::Tables.rows("findings").select { |row| ["a", mystery.side[0]].include?(row["for"]) }
      .map { |row| row["id"] }
    findings.to_h { |id| [id, tests.value(id)] }
  end

  it "hides each of its causes for some seed, and the same for the same" do
    expect(seeds.keys).to match_array described_class.new("1").possible
    expect(described_class.new("7").faults.attributes).to eq described_class.new("7").faults.attributes
  end

  # A seed that hides each row.
  rows = (1..300).each_with_object({}) do |seed, found|
    found[described_class.new(seed.to_s).instance_variable_get(:@rows).first["id"]] ||= seed.to_s
  end

  # What tells each from a sound lever.
  {
    "air_in_line" => {"lever_feel" => /spongy|dead/, "pump_up" => /rises_holds|same/, "mc_isolated" => "firm",
                      "hold_sink" => "holds"},
    "air_at_master" => {"lever_feel" => "spongy", "bubbles" => "few_then_stop", "mc_isolated" => "soft"},
    "cup_lets_past" => {"hold_sink" => /slow|fast/, "mc_isolated" => "sinks", "wet_joint" => "dry"},
    "outer_seal_leaks" => {"hold_sink" => /slow|fast/, "wet_lever" => "damp_boot", "wet_joint" => "dry"},
    "joint_leaks" => {"hold_sink" => /slow|fast/, "wet_joint" => /weep|drip/, "wet_slave" => "dry"},
    "caliper_leaks" => {"hold_sink" => /slow|fast/, "wet_slave" => "fluid", "wet_lever" => "dry"},
    "hose_swells" => {"lever_feel" => "spongy", "hose_state" => "bulges", "hold_sink" => "holds"},
    "hose_shut" => {"lever_travel" => "short", "release_point" => "nipple_only", "hold_sink" => "holds"},
    "port_blocked" => {"residual" => "builds", "port_jet" => "absent", "free_play" => "in_spec"},
    "no_free_play" => {"residual" => "builds", "port_jet" => "absent", "free_play" => "none"},
    "too_much_play" => {"lever_feel" => "dead_then_firm", "pump_up" => "same", "free_play" => "excess"},
    "piston_sticks" => {"return_action" => /slow|hangs/, "boot_state" => "packed_dirt"},
    "pads_knocked_back" => {"lever_feel" => "dead_then_firm", "pump_up" => "rises_holds",
                            "friction_state" => "taper_knock"},
    "pads_thin" => {"friction_state" => "thin", "level" => "slow_fall", "lever_feel" => "firm"},
    "piston_stuck" => {"residual" => "constant", "release_point" => "none"},
    "fluid_wet" => {"hot_fade" => "long_when_hot", "fluid_water" => "ge3", "nipple_flow" => "dark_slug"},
    "wrong_fluid" => {"diaphragm_state" => "swollen", "return_action" => "slow"}
  }.each do |row, shown|
    it "shows #{row.tr("_", " ")} as a lever would" do
      found = tried(rows.fetch(row), described_class::TEMPLATE, shown.keys)
      shown.each { |finding, value| expect([finding, found[finding]]).to match [finding, value] }
    end
  end

  # What tells each of a clutch from a sound one.
  clutches = (1..400).each_with_object({}) do |seed, found|
    hidden = described_class.new(seed.to_s, template: "road_clutch")
    found[hidden.instance_variable_get(:@rows).first["id"]] ||= seed.to_s
  end
  {
    "clutch_air_in_line" => {"lever_feel" => "spongy", "slave_lift" => "short", "hose_state" => "sound"},
    "clutch_air_at_master" => {"lever_feel" => "spongy", "bubbles" => "few_then_stop", "mc_isolated" => "soft"},
    "clutch_cup_lets_past" => {"hold_sink" => /slow|fast/, "mc_isolated" => "sinks", "wet_slave" => "dry"},
    "clutch_outer_seal_leaks" => {"hold_sink" => /slow|fast/, "wet_lever" => "damp_boot"},
    "clutch_joint_leaks" => {"hold_sink" => /slow|fast/, "wet_joint" => /weep|drip/},
    "slave_leaks" => {"hold_sink" => /slow|fast/, "wet_slave" => "fluid"},
    "clutch_hose_swells" => {"hose_state" => "bulges", "slave_lift" => "short", "bubbles" => "none"},
    "clutch_port_blocked" => {"residual" => "builds", "port_jet" => "absent", "slave_lift" => "in_spec"},
    "clutch_no_free_play" => {"free_play" => "none", "residual" => "builds", "slave_lift" => "in_spec"},
    "slave_short_of_lift" => {"slave_lift" => "short", "clutch_gear" => "partial", "free_play" => "excess",
                              "hold_sink" => "holds"},
    "clutch_piston_sticks" => {"return_action" => /slow|hangs/, "clutch_gear" => "separates"},
    "slave_stuck" => {"slave_lift" => "none", "clutch_gear" => "none", "lever_effort" => "heavy"},
    "plates_stick" => {"slave_lift" => "in_spec", "clutch_gear" => "partial", "lever_feel" => "firm"}
  }.each do |row, shown|
    it "shows #{row.tr("_", " ")} as a clutch would" do
      found = tried(clutches.fetch(row), "road_clutch", shown.keys)
      shown.each { |finding, value| expect([finding, found[finding]]).to match [finding, value] }
    end
  end

  it "lifts a sound clutch's slave as far as hydraulics says, and no further than that at the pressure that frees it" do
    clutch = Sandbag::Circuit::Template.sheet("road_clutch").set("fluid", "stamped", "dot4", "part_marking")
    circuit = Sandbag::Circuit::Assembly.build(clutch)
    rig = Sandbag::Rig::Simulation.new(clutch)
    rig.act("do" => "lever", "to" => rig.travel_mm, "s" => 1)
    # the fluid's own compressibility, which the formula leaves out: K 1500 MPa
    squeezed = 1000 * circuit.fluid_ml * circuit.slave.release_pressure_mpa / circuit.bulk_modulus_mpa
    expect(rig.lift_mm).to be_within(1e-6)
      .of(Sandbag::Hydraulics::ClutchLift.mm(circuit, circuit.master.stroke_mm) - squeezed / circuit.slave.area_mm2)
    expect(rig.pressure_mpa).to be_within(1e-9).of(circuit.slave.release_pressure_mpa)
  end

  it "has every row of the table shown above, and a sound lever for what is hidden elsewhere" do
    expect(rows.keys).to match_array(described_class.rows("brake").map { |row| row["id"] })
    expect(clutches.keys).to match_array(described_class.rows("clutch").map { |row| row["id"] })
  end

  it "hides two things now and then, never two that show the same place otherwise" do
    pairs = (1..400).map { |seed| described_class.new(seed.to_s, pairs: true) }.select { |each| each.causes.size == 2 }
    expect(pairs.size).to be_between(40, 120)
    pairs.each do |each|
      expect(each.causes.uniq.size).to eq 2
      expect(each.says.size).to eq 2
    end
    expect((1..400).flat_map { |seed| described_class.new(seed.to_s).causes.size }.uniq).to eq [1]
  end

  it "answers by values that the findings have, and refuses a test that is none of its own" do
    tried("1").compact.each { |id, value| expect(Sandbag::Tables.find("findings", id)["values"]).to have_key value }
    tests = Sandbag::Rig::LeverTests.new(described_class.new("1"))
    expect(refusal_at { tests.value("clutch_gear") }).to eq ["finding"]
    expect(refusal_at { described_class.new("1", template: "tram") }).to eq ["template"]
  end

  it "hides something on every kind of circuit, which everything that can be tried finds" do
    Sandbag::Tables.rows("circuit_templates").each_with_index do |row, index|
      seed = "every #{index}"
      hidden = described_class.new(seed, template: row["id"])
      diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, {"side" => hidden.side, "abs" => "none"})
      tried(seed, row["id"]).compact.each { |id, value| diagnosis = diagnosis.with(id, value) }
      expect([row["id"], diagnosis.ranks.first.cause["id"]]).to eq [row["id"], hidden.causes.first]
    end
  end

  it "is found by everything that can be tried" do
    seeds.each do |cause, seed|
      diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, {"side" => "brake", "abs" => "none"})
      tried(seed).compact.each { |id, value| diagnosis = diagnosis.with(id, value) }
      expect([cause, diagnosis.ranks.first.cause["id"]]).to eq [cause, cause]
    end
  end
end
