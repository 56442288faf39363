# frozen_string_literal: true

RSpec.describe Sandbag::Ask::Diagnosis do
  def findings(*pairs)
    pairs.reduce(Sandbag::Ask::Findings.new) { |found, pair| found.with(*pair.split(".")) }
  end

  def diagnosis(side, *pairs, abs: "none")
    described_class.new(findings(*pairs), {"side" => side, "abs" => abs})
  end

  def lead(diagnosis)
    diagnosis.ranks.first.then { |rank| [rank.cause["id"], !rank.proof.nil?] }
  end

  # docs/trade.md 1.7: side, findings, first cause, proven, route proposed (nil: not sure enough yet)
  acceptance = [
    [
      "brake",
      %w[lever_feel.spongy lever_travel.long pump_up.rises_holds history.opened_recently],
      "AL",
      false,
      "bleed"
    ],
    ["brake", %w[lever_feel.spongy lever_travel.long], "AL", false, nil],
    [
      "brake",
      %w[pump_up.rises_sinks hold_sink.slow wet_lever.dry wet_joint.dry wet_slave.dry],
      "BY",
      false,
      "reseal_mc"
    ],
    ["brake", %w[lever_feel.firm hot_fade.long_when_hot fluid_colour.brown], "FA", false, "flush"],
    ["brake", %w[history.wet_mud boot_state.packed_dirt return_action.slow], "ST", true, "reseal_mc"],
    ["brake", %w[return_action.hangs boot_state.split_dry], "ST", false, "reseal_mc"],
    ["clutch", %w[return_action.locked history.long_standing], "SS", false, "slave_work"],
    ["clutch", %w[level.empty wet_slave.fluid clutch_gear.none], "SL", true, "slave_work"],
    ["clutch", %w[wet_slave.engine_oil], "EN", true, "clutch_work"],
    [
      "brake",
      %w[abs_state.air_past_outlet hold_sink.fast lever_travel.to_grip wet_joint.dry],
      "AB",
      true,
      "refer",
      "fitted"
    ],
    ["brake", %w[bubbles.under_insert lever_feel.spongy], "AM", false, "bleed"],
    ["brake", %w[residual.builds free_play.none port_jet.absent history.parts_changed], "AT", true, "adjust_free_play"],
    ["brake", %w[residual.builds free_play.in_spec port_jet.absent], "PB", false, "reseal_mc"],
    ["brake", %w[residual.constant release_point.nipple_only], "HB", true, "renew_hose"],
    ["brake", %w[lever_feel.spongy pump_up.same mc_isolated.firm hose_state.bulges], "HS", true, "renew_hose"],
    [
      "brake",
      %w[level.slow_fall wet_lever.dry wet_joint.dry wet_slave.dry friction_state.thin lever_travel.long],
      "FR",
      true,
      "friction_work"
    ],
    ["clutch", %w[slave_lift.in_spec clutch_gear.partial], "FR", true, "friction_work"],
    ["brake", %w[lever_feel.dead_then_firm free_play.excess], "LO", true, "adjust_free_play"]
  ]

  # Our own: every cause, brakes and clutches.
  own = [
    ["brake", %w[wet_lever.drips level.slow_fall], "LK", true, "reseal_mc"],
    ["brake", %w[wet_joint.weep hold_sink.slow], "JL", true, "remake_joint"],
    ["brake", %w[wet_slave.fluid level.slow_fall], "SL", true, "slave_work"],
    ["brake", %w[residual.constant release_point.none], "SS", true, "slave_work"],
    ["brake", %w[hose_state.kinked return_action.slow], "HB", true, "renew_hose"],
    ["brake", %w[fluid_water.ge3 lever_feel.firm], "FA", true, "flush"],
    ["brake", %w[fluid_debris.gel], "FW", true, "renew_rubber"],
    ["brake", %w[friction_state.thin hot_fade.weak_but_firm], "FR", true, "friction_work"],
    [
      "brake",
      %w[bubbles.few_then_stop pump_up.never_builds hold_sink.holds wet_joint.dry wet_slave.dry],
      "AM",
      false,
      "bleed"
    ],
    [
      "brake",
      %w[mc_isolated.sinks wet_lever.dry wet_joint.dry wet_slave.dry lever_feel.spongy],
      "BY",
      true,
      "reseal_mc"
    ],
    ["brake", %w[free_play.pivot_worn return_action.slow], "LO", true, "adjust_free_play"],
    [
      "brake",
      %w[residual.builds port_jet.absent free_play.in_spec fluid_debris.grit boot_state.sound],
      "PB",
      false,
      "reseal_mc"
    ],
    ["brake", %w[pump_up.same lever_feel.spongy hold_sink.holds hose_state.bulges], "HS", true, "renew_hose"],
    ["brake", %w[nipple_flow.bubbles lever_feel.spongy pump_up.rises_holds], "AL", false, "bleed"],
    ["brake", %w[return_action.slow lever_effort.heavy boot_state.split_dry history.wet_mud], "ST", false, "reseal_mc"],
    ["brake", %w[free_play.none residual.constant], "AT", true, "adjust_free_play"],
    [
      "clutch",
      %w[clutch_gear.none lever_feel.spongy pump_up.rises_holds history.opened_recently],
      "AL",
      false,
      "bleed"
    ],
    [
      "clutch",
      %w[hold_sink.slow pump_up.rises_sinks clutch_gear.partial wet_slave.dry wet_joint.dry],
      "BY",
      false,
      "reseal_mc"
    ],
    ["clutch", %w[free_play.none residual.builds history.parts_changed], "AT", true, "adjust_free_play"],
    ["clutch", %w[slave_lift.none return_action.locked], "SS", false, "slave_work"],
    ["clutch", %w[fluid_colour.black], "FA", true, "flush"],
    ["clutch", %w[wet_lever.damp_boot], "LK", true, "reseal_mc"],
    ["clutch", %w[level.over_max slave_lift.in_spec clutch_gear.partial], "FR", true, "friction_work"],
    ["clutch", %w[boot_state.packed_dirt return_action.hangs], "ST", true, "reseal_mc"],
    ["clutch", %w[bubbles.under_insert clutch_gear.none slave_lift.short], "AM", false, nil],
    ["clutch", %w[wet_joint.drip level.sudden_fall], "JL", true, "remake_joint"],
    ["clutch", %w[hose_state.bulges slave_lift.short], "HS", true, "renew_hose"],
    [
      "brake",
      %w[lever_feel.wooden lever_travel.short lever_effort.heavy return_action.free history.parts_changed],
      "WS",
      false,
      "renew_mc"
    ],
    [
      "brake",
      %w[
        lever_feel.firm
        lever_travel.to_grip
        pump_up.same
        hold_sink.holds
        history.parts_changed
        free_play.in_spec
        nipple_flow.clean
      ],
      "WS",
      false,
      nil
    ],
    [
      "clutch",
      %w[lever_feel.firm slave_lift.short clutch_gear.partial pump_up.same history.parts_changed],
      "WS",
      false,
      nil
    ],
    ["brake", %w[level.over_max residual.builds free_play.in_spec port_jet.present], "OF", false, "set_level"],
    ["clutch", %w[level.over_max residual.constant free_play.in_spec port_jet.present], "OF", false, nil],
    ["clutch", %w[release_point.mc_outlet residual.builds port_jet.absent], "PB", true, "reseal_mc"]
  ]

  (acceptance + own).each do |side, pairs, cause, proven, route, abs|
    outcome = "#{proven ? "proven" : "likely"} #{cause}, #{route || "not sure enough for a route"}"
    it "#{side}: #{pairs.join(", ").tr("_", " ")} is #{outcome}" do
      found = diagnosis(side, *pairs, abs: abs || "none")
      expect(lead(found)).to eq [cause, proven]
      expect(found.proposal&.fetch(:route)).to eq route
    end
  end

  it "covers every cause" do
    expect((acceptance + own).map { |row| row[2] }.uniq).to match_array(
      Sandbag::Tables.rows("causes").map { |row| row["id"] }
    )
  end

  it "names air in the master beside air in the line: they share the route" do
    found =
      diagnosis("brake", "lever_feel.spongy", "lever_travel.long", "pump_up.rises_holds", "history.opened_recently")
    expect(found.ranks[1].cause["id"]).to eq "AM"
    expect(found.proposal[:causes]).to eq %w[AL AM]
  end

  it "gives the same to the last digit whatever the order of entering" do
    pairs = %w[
      lever_feel.spongy
      pump_up.rises_sinks
      hold_sink.slow
      history.wet_mud
      history.crash
      fluid_colour.brown
      wet_joint.dry
    ]
    expected = diagnosis("brake", *pairs).shares
    10.times { |seed| expect(diagnosis("brake", *pairs.shuffle(random: Random.new(seed))).shares).to eq expected }
  end

  it "is restored exactly when a finding is taken back, one value of many too" do
    before = findings("lever_feel.spongy", "history.crash")
    expect(before.with("hold_sink", "slow").without("hold_sink").to_h).to eq before.to_h
    expect(before.with("history", "wet_mud").without("history", "wet_mud").to_h).to eq before.to_h
  end

  it "is not moved by a finding that is neutral to all" do
    before = diagnosis("brake", "lever_feel.spongy").shares
    %w[fluid_water.1to2 fluid_water.na port_jet.na brake_lamp.correct].each do |neutral|
      expect(diagnosis("brake", "lever_feel.spongy", neutral).shares).to eq(before), neutral
    end
  end

  it "starts at the priors, and its shares always make one" do
    bare = diagnosis("brake")
    total =
      Sandbag::Tables.rows("causes").reject { |cause| cause["id"] == "AB" }.sum { |cause| cause["prior_brake"] }
    expect(bare.shares["AL"]).to be_within(1e-12).of(25.0 / total)
    expect(bare.proposal).to be_nil
    Sandbag::Tables.rows("likelihoods").each do |row|
      expect(diagnosis("brake", row["id"]).shares.values.sum).to be_within(1e-9).of(1)
    end
  end

  it "counts only the strongest for and the strongest against in a group" do
    alone = diagnosis("brake", "lever_feel.spongy").steps
    expect(diagnosis("brake", "lever_feel.spongy", "lever_travel.long").steps["AL"]).to eq alone["AL"]
    mixed = diagnosis("brake", "lever_feel.spongy", "pump_up.same")
    expect(mixed.steps["AL"]).to eq 2 - 2
    expect(mixed.ranks.find { |rank| rank.cause["id"] == "AL" }.evidence.map { |move| move[:steps] }).to eq [2, -2]
  end

  it "counts every history value by itself" do
    opened, inverted = %w[opened_recently inverted].map { |value| diagnosis("brake", "history.#{value}").steps["AL"] }
    expect([opened, inverted]).to all(be_positive)
    expect(diagnosis("brake", "history.opened_recently", "history.inverted").steps["AL"]).to eq opened + inverted
  end

  it "leaves out what cannot be: ABS air without ABS or on a clutch, engine oil on a brake" do
    expect(diagnosis("brake").shares).not_to include("AB", "EN")
    expect(diagnosis("brake", abs: "unknown").shares).to include("AB")
    expect(diagnosis("clutch", abs: "fitted").shares).not_to include("AB")
    expect(diagnosis("clutch").shares).to include("EN")
  end

  it "reads cells by side" do
    expect(Sandbag::Ask::Matrix.steps("return_action", "hangs", "clutch")["SS"]).to eq 1
    expect(Sandbag::Ask::Matrix.steps("return_action", "hangs", "brake")["SS"]).to eq 0
    expect(Sandbag::Ask::Matrix.steps("return_action", "locked", "brake")["ST"]).to eq 2
    expect(Sandbag::Ask::Matrix.steps("return_action", "locked", "clutch")["ST"]).to eq 1
  end
end
