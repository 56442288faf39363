# frozen_string_literal: true

RSpec.describe Sandbag::Ask::NextTest do
  def tests(*pairs, side: "brake")
    found = pairs.reduce(Sandbag::Ask::Findings.new) { |all, pair| all.with(*pair.split(".")) }
    askable = Sandbag::Tables.rows("findings").select { |row| ["a", side[0]].include?(row["for"]) }
    described_class.new(Sandbag::Ask::Diagnosis.new(found, {"side" => side, "abs" => "none"}), askable)
  end

  it "asks how it pumps up when it is spongy and long and nothing else is known (docs/trade.md 1.7)" do
    expect(tests("lever_feel.spongy", "lever_travel.long").best.first.finding["id"]).to eq "pump_up"
  end

  it "never asks what is known, and puts what opens the circuit last" do
    all = tests("lever_feel.spongy").best(40)
    expect(all.map { |offer| offer.finding["id"] }).not_to include("lever_feel")
    opening = all.map { |offer| offer.finding["opens"] || false }
    expect(opening).to eq opening.sort_by { |opens| opens ? 1 : 0 }
  end

  it "never expects to know less, and expects nothing of a test that is neutral throughout" do
    [[], %w[lever_feel.spongy], %w[residual.builds port_jet.absent], %w[hold_sink.fast wet_joint.dry]].each do |pairs|
      tests(*pairs).best(40).each { |offer| expect(offer.gain_bits).to be >= -1e-12, offer.finding["id"] }
    end
    neutral = {"id" => "brake_lamp", "minutes" => 2, "values" => {"correct" => "", "late" => "", "never" => ""}}
    expect(tests("lever_feel.spongy").gain_bits(neutral)).to be_within(1e-12).of(0)
  end

  it "says what each answer would change: the cause it raises most, from and to" do
    offer = tests("lever_feel.spongy", "lever_travel.long").best.first
    after =
      Sandbag::Ask::Diagnosis.new(
        Sandbag::Ask::Findings
          .new
          .with("lever_feel", "spongy")
          .with("lever_travel", "long")
          .with("pump_up", "rises_sinks"),
        {"side" => "brake", "abs" => "none"}
      )
    expect(offer.answers.keys).to eq %w[same rises_holds rises_sinks never_builds]
    before =
      Sandbag::Ask::Diagnosis.new(
        Sandbag::Ask::Findings.new.with("lever_feel", "spongy").with("lever_travel", "long"),
        {"side" => "brake", "abs" => "none"}
      )
    expect(offer.answers["rises_sinks"]).to eq(cause: "BY", from: before.shares["BY"], to: after.shares["BY"])
  end

  it "offers the three places to look for wet together, and once the lid is off what lies under it" do
    walks = tests("level.slow_fall").best(40).map { |offer| offer.walk["id"] }
    expect(walks.each_index.select { |index| walks[index] == "wet" }.each_cons(2).map { |one, two| two - one }).to eq [
      1,
      1
    ]
    place = ->(offers) { offers.map { |offer| offer.finding["id"] }.index("port_jet") }
    expect(place[tests("residual.builds", "bubbles.none").best(40)]).to be <
      place[tests("residual.builds", "boot_state.sound").best(40)]
  end

  it "puts first what must be looked at, then what the rider's words call for until enough is found" do
    askable = Sandbag::Tables.rows("findings").select { |row| %w[a b].include?(row["for"]) }
    first =
      lambda do |*pairs, **more|
        found = pairs.reduce(Sandbag::Ask::Findings.new) { |all, pair| all.with(*pair.split(".")) }
        described_class
          .new(Sandbag::Ask::Diagnosis.new(found, {"side" => "brake", "abs" => "none"}), askable, **more)
          .best(1)
          .first
          .finding[
          "id"
        ]
      end
    expect(first["lever_feel.spongy", must: %w[hose_state], named: %w[level]]).to eq "hose_state"
    expect(first["lever_feel.spongy", named: %w[boot_state level]]).to eq "boot_state"
    expect(
      first["lever_feel.spongy", "lever_travel.long", "hold_sink.holds", named: %w[boot_state]]
    ).not_to eq "boot_state"
  end

  it "prefers the quick look to the long one that tells as much" do
    quick, slow =
      [1, 20].map do |minutes|
        Sandbag::Tables.find("findings", "hold_sink").merge("id" => "hold_sink", "minutes" => minutes)
      end
    found =
      Sandbag::Ask::Diagnosis.new(
        Sandbag::Ask::Findings.new.with("lever_feel", "spongy"),
        {"side" => "brake", "abs" => "none"}
      )
    expect(described_class.new(found, [slow, quick]).best.map { |offer| offer.finding["minutes"] }).to eq [1, 20]
  end
end
