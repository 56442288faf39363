# frozen_string_literal: true

require "tmpdir"

RSpec.describe Sandbag::Cylinder::Construction do
  it "knows the twelve constructions and the six shared groups" do
    expect(described_class.all.map(&:id)).to match_array %w[
      bar_axial_circlip
      bar_radial
      bike_stop_plate
      bike_pin_circlip
      kart_pedal
      foot_pushrod_remote
      scooter_bar_shrouded
      clutch_slave_pushrod
      slave_concentric
      caliper_sliding
      caliper_opposed
      caliper_bike
    ]
    expect(described_class.groups.map(&:id)).to match_array %w[lid joint hose_nut clamp switch feed]
  end

  it "has a way for every cup: its lip to the fluid" do
    cups = described_class.all.flat_map(&:parts).select { |part| part["id"].end_with?("_cup") }
    expect(cups).not_to be_empty
    expect(cups.map { |cup| cup.dig("way", "faces") }.uniq).to eq ["inward"]
  end

  describe "a file that does not hold together" do
    let(:good) { File.read("#{Sandbag::Tables::FOLDER}/cylinder/constructions/bar_axial_circlip.yml") }

    def fault(text)
      Dir.mktmpdir do |folder|
        path = "#{folder}/odd.yml"
        File.write(path, text)
        Sandbag::Cylinder::ConstructionFile.new(path).read
        nil
      rescue Sandbag::Tables::Fault => error
        error.message.delete_prefix("#{path}:")
      end
    end

    def line_of(text, needle)
      text.lines.index { |line| line.include?(needle) } + 1
    end

    it "loads as it is" do
      expect(fault(good)).to be_nil
    end

    it "names the part that no step takes out, and its line" do
      odd = good.sub("takes: [pivot_nut]", "takes: []")
      expect(fault(odd)).to eq "#{line_of(odd, "- id: pivot_nut")}: pivot_nut is never removed"
    end

    it "names the line of what should be a list" do
      odd = good.sub(/^steps:.*\z/m, "steps: none\n")
      expect(fault(odd)).to eq "#{line_of(odd, "steps:")}: is not a list of rows"
    end

    it "names the part that two steps take out" do
      expect(fault(good.sub("takes: [pivot_nut]", "takes: [pivot_nut, boot]"))).to end_with "boot is removed 2 times"
    end

    it "names a step with a caution that is to be done together with others" do
      odd = good.sub("  label: Bore circlip out\n", "  label: Bore circlip out\n  together: pivot\n")
      expect(fault(odd)).to end_with "is done together with others, which a step with flies, caution is not"
      expect(fault(good.sub("together: pivot", "together: all"))).to include "unknown"
    end

    it "names a part whose way has no feature, or faces where nothing does" do
      way = good[/way: \{[^}]*\}/]
      expect(fault(good.sub(way, "way: {faces: inward}"))).to end_with "has a way without its feature"
      expect(fault(good.sub(way, "way: {feature: lip, faces: nowhere}"))).to include "directions has none such"
    end

    it "names an id that stands twice, and where it stood first" do
      odd = good.sub("- id: pivot_bolt\n  label: Pivot bolt", "- id: pivot_nut\n  label: Pivot bolt")
      expect(fault(odd)).to match(/\A\d+: pivot_nut stands already at line #{line_of(odd, "- id: pivot_nut")}\z/)
    end

    {
      "an unknown tool" => ["tools: [internal_pliers]", "tools: [hammer]", /bore_circlip names unknown hammer/],
      "an unknown caution" => ["caution: C04", "caution: C99", /names unknown C99/],
      "an unknown part in a step" => ["takes: [stop_washer]", "takes: [stopwasher]", /takes unknown part stopwasher/],
      "a step the order leaves out" => [
        "stop_washer, piston, spring, joint",
        "piston, spring, joint",
        /stop_washer is not in the order/
      ],
      "an order of steps nobody knows" => ["order: [\n", "order: [\n  dance,\n", /the order names unknown dance/],
      "a step twice in the order" => ["order: [\n", "order: [\n  boot,\n", /names boot twice/],
      "a direction nobody knows" => ["faces: down", "faces: sideways", /faces "sideways"/],
      "a section of parts nobody knows" => ["section: [spring", "section: [ghost", /the section names unknown ghost/],
      "an unknown use" => ["once: new", "once: sometimes", /is sometimes; known are/],
      "an unknown place for grease" => ["lube: [own]", "lube: [butter]", /unknown lube butter/],
      "a column nobody knows" => ["  check: counted in, straight", "  cheque: counted", /unknown cheque/],
      "steps that it does not have" => ["removal: []", "removal: [ghost]", /names unknown steps ghost/]
    }.each do |what, (from, to, message)|
      it("refuses #{what}, with its line") { expect(fault(good.sub(from, to))).to match(/\A\d+: .*#{message}/) }
    end

    it "refuses what is no construction at all" do
      expect(fault("- just\n- a list\n")).to eq "1: is not one construction"
      expect(fault("id: x\n")).to include("has no label, order, parts, steps")
      expect(fault("id: [")).to match(/\A\d+: /)
    end
  end
end
