# frozen_string_literal: true

RSpec.describe Sandbag::QuantityReader do
  def reader(**rules)
    described_class.new(rules.transform_keys(&:to_s), "Spout")
  end

  let(:length) { reader(type: "measure", dimension: "length", above: 0, max: 40) }

  it "takes both ends of a closed range, and only the far end of an open one" do
    closed = reader(type: "measure", dimension: "length", min: 0, max: 40)
    expect([closed.read(0), closed.read("40")]).to eq [0.0, 40.0]
    expect(length.read(40)).to eq 40.0
    expect(problems { length.read(0) }.map(&:accepted)).to eq ["above 0 to 40 mm"]
    expect(problems { length.read("40.0001") }.map(&:message)).to eq ["Spout of 40.0001 is out of range"]
  end

  it "judges the range after converting" do
    expect(length.read("1 1/2 in")).to be_within(1e-12).of(38.1)
    expect(problems { length.read("1 5/8 in") }).not_to be_empty
  end

  it "lets the limits decide between a decimal comma and thousands, and asks where they do not" do
    expect(reader(type: "measure", dimension: "length", min: 4, max: 62).read("14,029")).to eq 14.029
    long = reader(type: "measure", dimension: "length", above: 0, max: 6000)
    expect(problems { long.read("1,200 mm") }.map(&:accepted)).to eq ["1.200 mm, or 1200 mm"]
    expect(reader(type: "measure", dimension: "length", min: 100, max: 6000).read("1,200")).to eq 1200.0
    expect(problems { length.read("41,500") }.map(&:message)).to eq ["Spout of 41,500 is out of range"]
  end

  it "says what is missing, what is no number, and what is no number at all" do
    expect(problems { length.read(nil) }.map(&:message)).to eq ["Spout is missing"]
    expect(problems { length.read({"mm" => 3}) }.map(&:message)).to eq ["Spout is not a number"]
    expect(problems { length.read(true) }.map(&:message)).to eq ["Spout is not a number"]
    expect(problems { length.read("wide") }.map(&:message)).to eq ["“wide” is not a number"]
  end

  it "reads lists however a mechanic parts them, and an array as it is" do
    list = reader(type: "measures", dimension: "length", min: 8, max: 80)
    ["34 34 30 30", "34/34/30/30", "34; 34; 30; 30", "34, 34, 30, 30"].each do |typed|
      expect(list.read(typed)).to eq [34.0, 34.0, 30.0, 30.0]
    end
    expect(list.read("25,4 1in")).to eq [25.4, 25.4]
    expect(list.read([34, "30"])).to eq [34.0, 30.0]
    expect(list.read(38)).to eq [38.0]
    expect(problems { list.read("34 x 30") }).not_to be_empty
  end

  it "wants at least one figure in a list, and at most so many" do
    list = reader(type: "measures", dimension: "length", min: 8, max: 80, most: 4)
    [[], " ", ";"].each { |typed| expect(problems { list.read(typed) }.map(&:message)).to eq ["Spout: none given"] }
    expect(list.read("34 34 30 30").size).to eq 4
    expect(problems { list.read("34 34 30 30 27") }.map(&:message)).to eq ["Spout: 5 are too many"]
  end

  it "takes a choice only as it is written, and lists the others" do
    choice = reader(type: "choice", choices: %w[opposed sliding])
    expect(choice.read("sliding")).to eq "sliding"
    ["Sliding", "", nil, 1, ["sliding"]].each do |typed|
      expect(problems { choice.read(typed) }.map(&:accepted)).to eq ["opposed, sliding"]
    end
  end

  it "takes days that exist, from 1970 on, or unknown" do
    date = reader(type: "date")
    expect(%w[2024-02-29 1970-01-01 unknown].map { |typed| date.read(typed) }).to eq %w[2024-02-29 1970-01-01 unknown]
    ["2023-02-29", "1969-12-31", "2024-13-01", "24-01-01", "yesterday", nil, 2024].each do |typed|
      expect(problems { date.read(typed) }).not_to be_empty, typed.inspect
    end
  end
end
