# frozen_string_literal: true

RSpec.describe Sandbag::Circuit::Places do
  def places(sheet)
    described_class.of(sheet)
  end

  # Hoses that lead from the last master on the way to the ABS unit.
  def entering(sheet)
    first = sheet.parts_of("line").select { |line| line["from"] == "master" }
    return first unless sheet.kind.has?("second_master")
    sheet.parts_of("line").select { |line| first.any? { |each| each["id"] == line["from"] } }
  end

  def at_second_master(found, sheet)
    return [] unless sheet.kind.has?("second_master")
    %w[feed hose.upper].map { |at| found.joint(at) }
  end

  def template(id)
    Sandbag::Circuit::Template.filled(id)
  end

  Sandbag::Tables.rows("circuit_templates").each do |row|
    %w[none fitted].each do |abs|
      describe "#{row["id"]}, ABS #{abs}" do
        let(:sheet) do
          plain = template(row["id"])
          plain.clutch? ? plain : plain.set("vehicle", "abs", abs, "measured")
        end
        let(:found) { places(sheet) }

        it "has one name and one id for each place" do
          expect(found.map(&:id).tally.select { |_, times| times > 1 }).to be_empty
          named = found.reject { |place| place.kind == "far_end" }.map(&:label)
          expect(named.tally.select { |_, times| times > 1 }).to be_empty
        end

        it "has two ends to every hose, two more at an ABS unit, and one inlet to every far end" do
          unit = sheet.clutch? || abs == "none"
          found.of_kind("line").each do |line|
            passes = !unit && entering(sheet).include?(line.part)
            expect(found.ends_of(line).size).to eq(passes ? 4 : 2), line.label
          end
          expect(found.of_kind("far_end").map { |place| found.inlets_of(place).size }).to all eq(1)
        end

        it "has only the masters, their feed and the inlets of an ABS unit on the master's side" do
          above = found.joints.select(&:above)
          expect(above.map(&:id)).to match_array(
            [*found.outlets, *found.joints.reject(&:pressed?),
              *found.joints.select { |joint| joint.at.end_with?(".abs_in") }, *at_second_master(found, sheet)].map(&:id)
          )
          expect(found.of_kind("line", "far_end").select(&:above)).to be_empty
        end
      end
    end
  end

  it "gives a steel pipe flared nuts and no washers, and each end at a splitter its own seals" do
    kart = places(template("kart_front_rear"))
    ends = %w[trunk.upper trunk hose_left.upper master].map { |at| kart.joint(at) }
    expect(ends.to_h { |joint| [joint.at, [joint.fitting, joint.washers]] })
      .to eq("trunk.upper" => ["flared nut", 0], "trunk" => ["flared nut", 0], "hose_left.upper" => ["banjo", 2],
        "master" => ["banjo", 2])
  end

  it "takes hose ends + 1 washers on a banjo bolt, and an olive and an insert where a bicycle's hose is cut" do
    taken = lambda do |plain|
      places(sheet(plain)).joints.to_h { |joint| [joint.at, [joint.fitting, joint.washers, joint.olives]] }
    end
    expect(taken[twin_disc_plain]).to eq("master" => ["stacked banjo", 3, 0], "left_caliper" => ["banjo", 2, 0],
      "right_caliper" => ["banjo", 2, 0])
    expect(taken[bicycle_plain]).to eq("master" => ["nut", 0, 1], "caliper" => ["banjo", 2, 0])
  end

  it "counts a nipple for each of a far end, the one a master may carry, and both ports of a bicycle" do
    twin = changed(twin_disc_plain, "left_caliper", nipples: 2)
    expect(places(twin).of_kind("nipple").map(&:label))
      .to eq ["Far nipple of the left caliper", "Near nipple of the left caliper", "Nipple of the right caliper"]
    with_nipple = twin.set("master", "nipple", "yes", "measured")
    expect(places(with_nipple).of_kind("nipple").first.label).to eq "Nipple of the master"
    expect(places(template("bike_rear")).of_kind("nipple").map { |place| [place.label, place.fitting] })
      .to eq [["Lever port", "port screw"], ["Port of the rear caliper", "port screw"]]
  end

  it "says how high each joint is" do
    split = places(template("road_front_split"))
    expect(%w[master trunk hose_left.upper].map { |at| split.joint(at).height_mm }).to eq [1000, 720, 720]
  end

  it "says what is at the lower end of a hose, and at the master" do
    split = places(template("road_front_split"))
    ends = %w[master trunk hose_left].to_h { |id| [id, split.at_end_of(id).map(&:id)] }
    expect(ends).to eq("master" => ["joint.master"],
      "trunk" => ["joint.trunk", "joint.hose_left.upper", "joint.hose_right.upper"],
      "hose_left" => ["joint.caliper_left", "nipple.caliper_left", "far_end.caliper_left"])
    expect(places(template("road_rear")).at_end_of("master").map(&:id)).to eq ["joint.reservoir", "joint.master"]
  end

  describe "what a job opens" do
    def opened(sheet, what, *ids)
      all = places(sheet)
      all.opened([what], ids.map { |id| all.find_id(id) }).map(&:at)
    end

    it "is the place itself, both ends of a hose, the inlet of a far end, or every joint, outwards and each once" do
      split = template("road_front_split")
      expect(opened(split, "here", "joint.caliper_right")).to eq ["caliper_right"]
      expect(opened(split, "ends", "line.trunk", "line.hose_left")).to eq %w[master trunk hose_left.upper caliper_left]
      expect(opened(split, "inlets", "far_end.caliper_left")).to eq ["caliper_left"]
      expect(opened(split, "outlet")).to eq ["master"]
      expect(opened(split, "all").size).to eq 6
    end

    it "is the feed alone where the reservoir is worked on, and nothing where there is none" do
      expect(opened(template("road_rear"), "feed")).to eq ["reservoir"]
      expect(opened(template("road_front_single"), "feed")).to be_empty
    end
  end

  it "pairs hoses of one kind from one joint to like calipers, and no others" do
    pairs = lambda do |id, line|
      all = places(template(id))
      all.with_pairs([all.find_id("line.#{line}")]).map(&:at)
    end
    expect(pairs["road_front_twin", "hose_left"]).to eq %w[hose_left hose_right]
    expect(pairs["road_front_split", "trunk"]).to eq ["trunk"]
    expect(pairs["combined", "hose_front"]).to eq ["hose_front"]
    expect(pairs["kart_front_rear", "hose_rear"]).to eq ["hose_rear"]
  end
end
