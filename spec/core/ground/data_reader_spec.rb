# frozen_string_literal: true

RSpec.describe Sandbag::DataReader do
  def read(rule, typed) = described_class.read({"note" => rule}, {"note" => typed})["note"]

  # Where it is refused, and what would be accepted.
  def refused(rule, typed)
    problems { read(rule, typed) }.first.then { |problem| [problem.pointer, problem.accepted] }
  end

  let(:text) { {"type" => "text", "max" => 5} }
  let(:person) { {"type" => "person", "max" => 20} }

  it "reads a text of its length without the spaces around it, and no sign that cannot be seen" do
    expect([read(text, " wet "), read(text, "a\nb")]).to eq %W[wet a\nb]
    [nil, "", "   ", "longer", 5].each do |typed|
      expect(refused(text, typed)).to eq ["note", "text of 1 to 5 characters"]
    end
    expect(refused(text, "a\u0007")).to eq ["note", "letters, figures and signs"]
  end

  it "reads a person's name on one line, with a letter in it" do
    expect(read(person, "M. Beck")).to eq "M. Beck"
    expect(refused(person, "...")).to eq ["note", "a name with letters in it"]
    expect(refused(person, "M.\nBeck")).to eq ["note", "a name on one line"]
  end

  it "reads an id of its table, or of one of several" do
    expect(read({"type" => "id", "table" => "fluids"}, "dot4")).to eq "dot4"
    expect(read({"type" => "id", "tables" => %w[fluids machine_uses]}, "race")).to eq "race"
    expect(refused({"type" => "id", "table" => "machine_uses"}, "dot4"))
      .to eq ["note", Sandbag::Tables.ids("machine_uses").join(", ")]
  end

  it "reads true and false, a table, and a list of ids, each once" do
    expect([true, false].map { |typed| read({"type" => "boolean"}, typed) }).to eq [true, false]
    expect(read({"type" => "table"}, {"a" => 1})).to eq("a" => 1)
    expect(read({"type" => "names", "max" => 2}, %w[a a])).to eq %w[a]
    expect(refused({"type" => "boolean"}, "yes")).to eq ["note", "true, false"]
    expect(refused({"type" => "table"}, [1])).to eq ["note", "an object"]
    [[], %w[a b c], "a", [1], [""], ["a" * 121]].each do |typed|
      expect(refused({"type" => "names", "max" => 2}, typed)).to eq ["note", "1 to 2 ids"]
    end
    expect(read({"type" => "names", "max" => 2}, ["a" * 120])).to eq ["a" * 120]
  end

  it "lets only what ends in ? be left out, and refuses a name that it does not have" do
    expect(described_class.read({"note?" => text}, {})).to eq({})
    expect(refusal_at { described_class.read({"note" => text}, {}) }).to eq ["note"]
    expect(refusal_at { described_class.read({"note?" => text}, {"other" => 1}) }).to eq ["other"]
  end
end
