# frozen_string_literal: true

RSpec.describe Sandbag::Circuit::Sheet do
  it "marks what was entered with its source and what was not as default" do
    master = sheet(twin_disc_plain).values(sheet(twin_disc_plain).parts_of("master").first)
    expect(master["bore"].to_a.last(2)).to eq [19.0, "measured"]
    expect(master["preload"].to_a.last(2)).to eq [15.0, "default"]
  end

  it "gives every kind of circuit defaults that can be computed" do
    Sandbag::Tables.rows("circuit_kinds").each do |kind|
      far_end = (kind["far_end"] == "slave") ? part("slave", "slave", from: "hose") : part("caliper", "caliper",
        from: "hose")
      plain = plain_sheet(kind["id"], part("hose", "line", from: "master"), far_end)
      figures = Sandbag::Circuit::Summary.new(sheet(plain)).to_h
      expect(figures[:reference][:force_n]).to be_between(10, 500), kind["id"]
      expect(figures[:loads].last[:travel_mm]).to be_between(2, 70), kind["id"]
    end
  end

  it "takes the default of one value from another: swell from the kind of hose, flex from the pistons" do
    def value(sheet, id, field)
      sheet.values(sheet.parts.find { |part| part["id"] == id })[field].value
    end
    expect(value(sheet(twin_disc_plain), "left_hose", "expansion")).to eq 0.020
    expect(value(changed(twin_disc_plain, "left_hose", kind: "rubber"), "left_hose", "expansion")).to eq 0.070
    expect(value(sheet(twin_disc_plain), "left_caliper", "stiffness")).to eq 0.020
    expect(value(changed(twin_disc_plain, "left_caliper", pistons: "34 34"), "left_caliper", "stiffness")).to eq 0.012
    expect(value(changed(twin_disc_plain, "left_caliper", build: "sliding"), "left_caliper", "stiffness")).to eq 0.030
    expect(value(sheet(bicycle_plain), "caliper", "stiffness")).to eq 0.004
  end

  it "reads sizes as mechanics type them, and goes back to the default when emptied" do
    typed = changed(twin_disc_plain, "master", bore: "11/16 in")
    expect(typed.value("master", "bore")).to be_within(1e-12).of(17.4625)
    expect(typed.change("master", "bore", "", "measured").value("master", "bore")).to eq 16.0
  end

  it "survives being written down and read again" do
    once = changed(twin_disc_plain, "master", bore: "5/8")
    expect(described_class.new(JSON.parse(JSON.generate(once.to_h))).to_h).to eq once.to_h
  end

  {
    "a bore over 40 mm" => ["master", :bore, "41"],
    "a negative bore" => ["master", :bore, "-12"],
    "letters" => ["left_hose", :length, "long"],
    "a stroke of zero" => ["master", :stroke, 0],
    "no piston" => ["left_caliper", :pistons, []],
    "a kind of hose nobody has" => ["left_hose", :kind, "glass"],
    "a date that is none" => ["fluid", :changed_on, "2026-02-30"],
    "a date before 1970" => ["fluid", :changed_on, "1969-12-31"],
    "a list where one number belongs" => ["master", :bore, [19, 20]],
    "too many pistons" => ["left_caliper", :pistons, [30] * 13]
  }.each do |what, (part_id, field, typed)|
    it "refuses #{what} by name" do
      found = problems { changed(twin_disc_plain, part_id, field => typed) }
      expect(found.map(&:pointer)).to eq ["parts/#{part_id}/#{field}"]
      expect(found.first.accepted).not_to be_empty
    end
  end

  it "refuses an odd number of opposed pistons and a stroke that does not pass the port when it is assembled" do
    odd = changed(twin_disc_plain, "left_caliper", pistons: "34 30 30")
    expect(refusal_at { Sandbag::Circuit::Assembly.build(odd) }).to eq ["parts/left_caliper/pistons"]
    short = changed(twin_disc_plain, "master", stroke: 0.5)
    expect(refusal_at { Sandbag::Circuit::Assembly.build(short) }).to eq ["parts/master/stroke"]
  end

  it "refuses a value, a source or a part it does not have" do
    expect(refusal_at { changed(twin_disc_plain, "master", colour: 1) }).to eq ["parts/master/colour"]
    expect(refusal_at { changed(twin_disc_plain, "gearbox", bore: 1) }).to eq ["parts/gearbox"]
    expect(refusal_at { sheet(twin_disc_plain).change("master", "bore", 19, "rumour") }).to eq ["parts/master/bore"]
  end

  describe "the tree of lines" do
    def with_lines(*lines)
      sheet(plain_sheet("brake_hand", *lines, part("caliper", "caliper", from: "a")))
    end

    it "follows shared lines from the master outwards" do
      split = with_lines(part("trunk", "line", from: "master"), part("a", "line", from: "trunk"))
      expect(split.topology.path("caliper")).to eq %w[trunk a]
    end

    it "refuses a loop, a loose end, an unknown feeder, and a caliper on the master itself" do
      expect(refusal_at { with_lines(part("a", "line", from: "b"), part("b", "line", from: "a")) }).to eq [
        "parts/a/from"
      ]
      expect(refusal_at { with_lines(part("a", "line", from: "master"), part("b", "line", from: "a")) }).to eq [
        "parts/b/from"
      ]
      expect(refusal_at { with_lines(part("a", "line", from: "nowhere")) }).to eq ["parts/a/from"]
      expect(refusal_at { sheet(plain_sheet("brake_hand", part("caliper", "caliper", from: "master"))) }).to eq [
        "parts/caliper/from"
      ]
    end
  end

  it "refuses two parts of one name, a missing part, and a circuit without a far end" do
    twice = plain_sheet("brake_hand", part("a", "line", from: "master"), part("a", "caliper", from: "a"))
    expect(refusal_at { sheet(twice) }).to eq ["parts/a"]
    plain = twin_disc_plain
    expect(
      refusal_at { sheet(plain.merge("parts" => plain["parts"].reject { |each| each["part"] == "lever" })) }
    ).to eq ["parts"]
    expect(refusal_at { sheet(plain_sheet("brake_hand")) }).to eq ["parts"]
    expect(refusal_at { sheet(plain.merge("kind" => "brake_boat")) }).to eq ["kind"]
  end
end
