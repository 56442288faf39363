# frozen_string_literal: true

RSpec.describe Sandbag::Said do
  let(:inches) { {"length" => {unit: "in", factor: 1 / 25.4, extra_decimals: 2}} }

  def written(text, display = {})
    described_class.in(text, display)
  end

  it "writes a figure in the core's unit where the shop has none of its own" do
    expect(written("needs #{described_class.mm(12.34)} of #{described_class.mm(14, 0)} stroke"))
      .to eq "needs 12.3 mm of 14 mm stroke"
    expect(described_class.plain("#{described_class.ml(0.126, 2)}, #{described_class.n(95)}")).to eq "0.13 mL, 95 N"
  end

  it "writes as many decimals as a value needs, up to three" do
    shown = [14.0, 17.46, 0.1236, 12.3456].map { |value| described_class.plain(described_class.mm(value, "g")) }
    expect(shown).to eq ["14 mm", "17.46 mm", "0.124 mm", "12.346 mm"]
  end

  it "writes it in the shop's unit, as finely as it was" do
    expect(written("needs #{described_class.mm(12.7)}", inches)).to eq "needs 0.500 in"
    expect(written("a kart's #{described_class.mm(25.4, 0)} and #{described_class.n(95)}", inches))
      .to eq "a kart's 1.00 in and 95 N"
  end

  {
    "torque" => {"N·m" => "12.3 N·m", "lbf·ft" => "9.1 lbf·ft", "lbf·in" => "109 lbf·in"},
    "pressure" => {"MPa" => "12.34 MPa", "bar" => "123.4 bar", "psi" => "1790 psi"},
    "length" => {"mm" => "12.34 mm", "in" => "0.4858 in"}, "volume" => {"mL" => "12 mL", "fl oz" => "0.42 fl oz"}
  }.each do |dimension, units|
    it "writes #{dimension} as finely in each unit that a shop may choose" do
      decimals = {"torque" => 1, "volume" => 0}.fetch(dimension, 2)
      shown = Sandbag::Units::SHOWN.fetch(dimension).keys.to_h do |unit|
        display = Sandbag::Shop.new("units" => {dimension => unit}).display
        [unit, written(described_class.figure(12.34, dimension, decimals), display)]
      end
      expect(shown).to eq units
    end
  end

  it "leaves the unit out where another figure has it, and noughts where a value needs none" do
    expect(written("#{described_class.mm(3, 0, bare: true)} or #{described_class.mm(4, 0)}")).to eq "3 or 4 mm"
    expect(written([17.46, 20, 0.5].map { |each| described_class.figure(each, :length, "g", bare: true) }.join(" ")))
      .to eq "17.46 20 0.5"
  end

  it "leaves every other text as it was, other people's letters too" do
    ["", "½ in of play", "日本語", "length;1.0;1;u", "100 % \\1", "mm #{described_class::OPEN}mm"].each do |text|
      expect(written(text)).to eq text
      expect(written("#{text}#{described_class.mm(1)}#{text}")).to eq "#{text}1.0 mm#{text}"
    end
  end

  it "gives a whole document back with each figure in its place" do
    document = JSON.generate({a: ["Ø #{described_class.mm(19)}", 3], b: "none, ½"})
    expect(JSON.parse(written(document, inches))).to eq("a" => ["Ø 0.748 in", 3], "b" => "none, ½")
  end
end
