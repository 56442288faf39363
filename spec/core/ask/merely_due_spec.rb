# frozen_string_literal: true

RSpec.describe "What is merely due" do
  def diagnosis(*pairs)
    found = pairs.reduce(Sandbag::Ask::Findings.new) { |all, pair| all.with(*pair.split(".")) }
    Sandbag::Ask::Diagnosis.new(found, {"side" => "brake", "abs" => "none"})
  end

  it "does not hide what is dangerous: old fluid stands behind a bypassing cup, and is still due" do
    found =
      diagnosis(
        "fluid_colour.black",
        "hold_sink.fast",
        "pump_up.rises_sinks",
        "wet_joint.dry",
        "wet_lever.dry",
        "wet_slave.dry"
      )
    expect(found.ranks.first.cause["id"]).to eq "BY"
    expect(found.proposal[:route]).to eq "reseal_mc"
    old = found.ranks.find { |rank| rank.cause["id"] == "FA" }
    expect([old.proof.nil?, old.leads]).to eq [false, false]
  end

  it "leads where nothing else is likelier by far" do
    expect(diagnosis("fluid_colour.black", "lever_feel.firm").proposal[:route]).to eq "flush"
  end

  it "comes after the leak, where fluid is on the pads" do
    expect(diagnosis("friction_state.contaminated").proposal[:route]).to eq "friction_work"
    expect(
      diagnosis("friction_state.contaminated", "wet_slave.fluid").ranks.first(2).map { |rank| rank.cause["id"] }
    ).to eq %w[SL FR]
  end
end
