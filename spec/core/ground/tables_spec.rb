# frozen_string_literal: true

require "tempfile"

RSpec.describe Sandbag::Tables do
  def load_text(text, table: "fluid_colours")
    Tempfile.create(["table", ".yml"]) do |file|
      file.write(text)
      file.flush
      described_class.read(table, file.path)
    end
  end

  good = "- {id: a, label: A, fresh: true}\n"

  it "loads every table it has, frozen through and through" do
    described_class.names.each do |name|
      rows = described_class.rows(name)
      expect(rows).not_to be_empty
      expect(rows).to all(be_frozen)
    end
  end

  {"an unknown column" => ["#{good}- {id: b, label: B, fresh: true, tint: 1}\n", /:2: b has unknown tint/],
   "a missing column" => ["#{good}- {id: b, label: B}\n", /:2: b has no fresh/],
   "a value of the wrong kind" => ["#{good}- {id: b, label: 7, fresh: true}\n", /:2: b: label is 7/],
   "a key that YAML misread" => ["#{good}- {id: b, label: B, fresh: true, off: 1}\n",
     /:2: a bare word was read as false/],
   "an answer that YAML misread" => ["- {id: b, label: [a, no], fresh: true}\n",
     /:1: a bare word was read as false/],
   "a duplicate" => ["#{good}\n- {id: a, label: B, fresh: true}\n", /:3: a stands already at line 1/],
   "a row without an id" => ["- {label: B, fresh: true}\n", /:1: has no id/],
   "broken YAML" => ["- {id: a,\n", /\.yml:\d+: /],
   "no list at all" => ["id: a\n", /:1: is not a list of rows/]}.each do |what, (text, message)|
    it "refuses a file with #{what}, naming the line" do
      expect { load_text(text) }.to raise_error(described_class::Fault, message)
    end
  end

  {
    "an unknown finding" => ["likelihoods", "lever_mood.sad", /:1: lever_mood.sad names unknown finding lever_mood/],
    "an unknown value" => ["likelihoods", "lever_feel.sad", /:1: lever_feel.sad names unknown value sad of lever_feel/]
  }.each do |what, (table, id, message)|
    it "refuses a matrix row of #{what}, naming the line" do
      row = Sandbag::Ask::Schemas::CAUSES.to_h { |code| [code, "."] }.merge("id" => id)
      expect { load_text(JSON.generate([row]), table: table) }.to raise_error(described_class::Fault, message)
    end
  end

  it "refuses a matrix row with a cell that means nothing, or without one of the causes" do
    row = Sandbag::Ask::Schemas::CAUSES.to_h { |code| [code, "."] }.merge("id" => "lever_feel.spongy")
    expect { load_text(JSON.generate([row.merge("AL" => "+++")]), table: "likelihoods") }.to raise_error(
      described_class::Fault,
      /“\+\+\+” under AL/
    )
    expect { load_text(JSON.generate([row.except("EN")]), table: "likelihoods") }.to raise_error(
      described_class::Fault,
      /has no EN/
    )
  end

  it "refuses a proof of an unknown cause and a cause of an unknown route" do
    expect {
      load_text("- {id: p, when: {lever_feel: [spongy]}, proves: [XX], note: n}\n", table: "proofs")
    }.to raise_error(described_class::Fault, /:1: p names unknown XX/)
    expect {
      load_text("- {id: p, when: {lever_mood: [sad]}, proves: [AL], note: n}\n", table: "proofs")
    }.to raise_error(described_class::Fault, /:1: p names unknown finding lever_mood/)
    expect {
      load_text(
        "- {id: XX, label: l, prior_brake: 1, prior_clutch: 1, routes: [pray], if_stays: s, also: a}\n",
        table: "causes"
      )
    }.to raise_error(described_class::Fault, /:1: XX names unknown pray/)
  end

  it "has all 31 findings, 20 causes and the whole matrix" do
    expect(described_class.rows("findings").size).to eq 31
    expect(described_class.rows("causes").map { |row| row["id"] }).to eq Sandbag::Ask::Schemas::CAUSES
    expect(described_class.rows("likelihoods").size).to eq 115
  end

  it "names only stages and cautions that exist" do
    described_class
      .rows("routes")
      .each { |route| expect(Sandbag::STAGES + %w[protect compare]).to include(*route["plan"]) }
    described_class
      .rows("gates")
      .each { |gate| expect(described_class.find("cautions", gate["caution"])).to be_truthy if gate["caution"] }
  end
end
