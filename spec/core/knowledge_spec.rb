# frozen_string_literal: true

require "tempfile"

RSpec.describe Sandbag::Knowledge do
  def load_text(text, table: "fluid_colours")
    Tempfile.create(["table", ".yml"]) do |file|
      file.write(text)
      file.flush
      described_class.load(table, file.path)
    end
  end

  good = "- {id: a, label: A, meaning: m, fresh: true}\n"

  it "loads every table it has, frozen through and through" do
    described_class::COLUMNS.each_key do |name|
      rows = described_class.table(name)
      expect(rows).not_to be_empty
      expect(rows).to all(be_frozen)
    end
  end

  {"an unknown column" => ["#{good}- {id: b, label: B, meaning: m, fresh: true, tint: 1}\n", /:2: b has unknown tint/],
   "a missing column" => ["#{good}- {id: b, label: B, fresh: true}\n", /:2: b has no meaning/],
   "a value of the wrong kind" => ["#{good}- {id: b, label: 7, meaning: m, fresh: true}\n", /:2: b: label is 7/],
   "a duplicate" => ["#{good}\n- {id: a, label: B, meaning: m, fresh: true}\n", /:3: a stands already at line 1/],
   "a row without an id" => ["- {label: B, meaning: m, fresh: true}\n", /:1: has no id/],
   "broken YAML" => ["- {id: a,\n", /\.yml:\d+: /],
   "no list at all" => ["id: a\n", /:1: is not a list of rows/]}.each do |what, (text, message)|
    it "refuses a file with #{what}, naming the line" do
      expect { load_text(text) }.to raise_error(described_class::Fault, message)
    end
  end

  it "names only findings, values, routes, stages and cautions that exist" do
    findings = described_class.table("findings").to_h { |row| [row["id"], row["values"].keys] }
    routes = described_class.table("routes").map { |row| row["id"] }
    described_class.table("route_rules").each do |rule|
      expect(routes).to include(rule["route"])
      rule["when"].except("abs").each { |finding, values| expect(findings.fetch(finding)).to include(*values) }
    end
    described_class.table("routes").each { |route| expect(Sandbag::STAGES).to include(*route["stages"]) }
    described_class.table("gates").each { |gate| expect(described_class.find("cautions", gate["caution"])).to be_truthy if gate["caution"] }
  end

  it "has a stop for every route rule that refers, and for no other" do
    described_class.table("route_rules").each do |rule|
      expect(rule.key?("stop")).to eq described_class.find("routes", rule["route"])["stops"]
    end
  end
end
