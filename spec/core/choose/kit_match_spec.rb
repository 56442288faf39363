# frozen_string_literal: true

RSpec.describe Sandbag::Choose::KitMatch do
  include ShelfThings

  def cylinder(bore: 14, source: "part_marking", construction: "bar_axial_circlip", spring: "fitted", stamped: "dot4",
    route: "reseal_mc")
    plain = clutch_plain
    master = plain["parts"].find { |each| each["id"] == "master" }
    master["values"].merge!(
      "bore" => {
        "value" => bore,
        "source" => source
      },
      "construction" => {
        "value" => construction,
        "source" => "measured"
      },
      "spring" => {
        "value" => spring,
        "source" => "measured"
      }
    )
    Sandbag::Cylinder::OnBench.all(
      sheet(plain).change("fluid", "stamped", stamped, "part_marking"),
      Sandbag::Job::Route.find(route), []
    ).first
  end

  def match(kit, **of)
    described_class.new(kit, cylinder(**of))
  end

  def reasons(kit, **of)
    match(kit, **of).reasons.map { |reason| [reason.id, reason.does] }
  end

  it "fits a kit of the same bore, construction, variant and rubber" do
    expect(match(kit).verdict).to eq "fits"
    expect(match(kit).lacks).to be_empty
  end

  it "takes 15.87 for 5/8, which are one size written two ways" do
    expect(match(kit(bore: "5/8"), bore: 15.87).verdict).to eq "fits"
  end

  it "takes a kit of certain years and one side only for a lever of that year and side" do
    bicycle = ->(**values) {
      found = values.reduce(sheet(bicycle_plain)) do |now, (field, value)|
        now.set("master", field.to_s, value, "measured")
      end
      Sandbag::Cylinder::OnBench.all(found, Sandbag::Job::Route.find("reseal_mc"), []).first
    }
    said = ->(fields, **values) {
      thing = stock_of(move("k", "added", {"kind" => "kit", "name" => "Kit", "count" => 1,
        "fields" => kit_fields(bore: 10).merge(fields)})).of("kit").first
      described_class.new(thing, bicycle[**values]).reasons.select { |reason| %w[year side].include?(reason.id) }
        .map { |reason| [reason.id, reason.does] }
    }
    years = {"from_year" => 2021, "to_year" => 2024}
    expect(said[{}]).to eq []
    expect(said[years]).to eq [%w[year ask]]
    expect([2020, 2021, 2024, 2025].map { |year| said[years, year: year] })
      .to eq [[%w[year no]], [], [], [%w[year no]]]
    expect([said[{"from_year" => 2021}, year: 2020], said[{"to_year" => 2021}, year: 2020]]).to eq [[%w[year no]], []]
    expect(said[{"side" => "left"}]).to eq [%w[side ask]]
    expect([said[{"side" => "left"}, side: "left"], said[{"side" => "left"}, side: "right"]]).to eq [[], [%w[side no]]]
  end

  # every pair, both ways round
  [
    [11, 11.11, 11],
    [12.7, 13, 30],
    [14, 14.29, 29],
    [15.875, 16, 13],
    [17.46, 17.5, 4],
    [19, 19.05, 5],
    [22, 22.22, 22]
  ].each do |metric, twin, hundredths|
    it "tells #{metric} from #{twin} and says what the wrong one would do" do
      small, large = [metric, twin].minmax
      jam = match(kit(bore: large), bore: small)
      expect(jam.verdict).to eq "no"
      expect(jam.near_miss).to include(hundredths: be_within(1).of(hundredths), effect: "jam")
      expect(said(jam.reasons.first.text)).to include("mm apart").and include("jams")
      leak = match(kit(bore: small), bore: large)
      expect(leak.verdict).to eq "no"
      expect(leak.near_miss).to include(hundredths: be_within(1).of(-hundredths), effect: "leak")
    end
  end

  it "never matches a bore more than 0.05 mm off" do
    for_all(bore: 9.0..23.0, off: -2.0..2.0) do |bore:, off:|
      next if off.abs <= 0.05
      expect(match(kit(bore: bore + off), bore: bore).verdict).to eq "no"
    end
  end

  it "asks which twin a bore is that was only measured, or never entered" do
    expect(reasons(kit, source: "measured")).to eq [%w[nominal ask]]
    unread =
      Sandbag::Cylinder::OnBench.all(
        sheet(plain_sheet("clutch_hand", part("hose", "line", from: "master"), part("slave", "slave", from: "hose"))),
        Sandbag::Job::Route.find("reseal_mc"), []
      ).first
    expect(described_class.new(kit, unread).reasons.map(&:id)).to include("nominal", "family")
  end

  it "refuses rubber that the fluid eats, and asks about rubber that is not marked" do
    nitrile = ShelfThings::KIT.merge("primary_cup" => {"material" => "NBR"})
    expect(reasons(kit(contents: nitrile))).to eq [["material", "no"]]
    expect(match(kit(contents: nitrile)).reasons.first.text).to include("NBR of primary cup in glycol")
    expect(reasons(kit, stamped: "mineral")).to eq [%w[material no]]
    expect(reasons(kit(contents: ShelfThings::KIT.merge("primary_cup" => {})))).to eq [%w[unmarked ask]]
    expect(
      reasons(kit(contents: ShelfThings::KIT.merge("primary_cup" => {"material" => "SBR"})), stamped: "dot5")
    ).to eq [%w[material ask]]
  end

  it "lets chloroprene stand for a boot, which is only splashed, and not for a cup" do
    expect(reasons(kit(contents: ShelfThings::KIT.merge("secondary_cup" => {"material" => "CR"})))).to eq [
      %w[material no]
    ]
  end

  it "keeps the variants with and without a spring apart" do
    expect(reasons(kit, spring: "none")).to eq [["spring", "no"]]
    expect(reasons(kit(spring: "none"))).to eq [["spring", "no"]]
    expect(reasons(kit, spring: "unknown")).to eq [["spring", "ask"]]
  end

  it "refuses a kit of another construction" do
    expect(reasons(kit, construction: "bar_radial")).to eq [["construction", "no"]]
  end

  it "wants a piston in it only when the job renews the piston" do
    seals_only = kit(contents: ShelfThings::KIT.except("piston"))
    expect(match(seals_only).verdict).to eq "fits"
    expect(reasons(seals_only, route: "piston_mc")).to eq [["piston", "no"]]
  end

  it "names what it lacks, and whether that is renewed in any case" do
    lacks =
      match(kit(contents: ShelfThings::KIT.except("piston", "boot"))).lacks.to_h { |lack| lack.values_at(:part, :rule) }
    expect(lacks).to eq("piston" => "condition", "boot" => "must")
  end

  it "says of the sachet what the matrix says, and leaves the kit alone" do
    greased =
      stock_of(
        move(
          "kit",
          "added",
          {"kind" => "kit", "name" => "Greased", "fields" => kit_fields.merge("grease" => "rubber_grease")}
        )
      ).find("kit")
    expect(match(greased)).to have_attributes(verdict: "fits", grease: a_string_including("suited, thin"))
    expect(match(greased, stamped: "mineral").grease).to end_with "in mineral fluid: never."
    expect(match(kit).grease).to be_nil
  end

  it "is asked of a slave's own bore when the slave is worked on" do
    clutch = sheet(clutch_plain)
    route = Sandbag::Job::Route.find("slave_work")
    slave = Sandbag::Cylinder::OnBench.all(clutch, route, Sandbag::Circuit::Places.of(clutch).of_kind("far_end")).first
    expect([slave.bore_mm, slave.construction.id]).to eq [29.0, "clutch_slave_pushrod"]
    expect(Sandbag::Cylinder::OnBench.all(sheet(twin_disc_plain), route, [])).to be_empty
  end
end
