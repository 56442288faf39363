# frozen_string_literal: true

RSpec.describe Sandbag::Fluid::Compatibility do
  # docs/trade.md 2.8, written out: seal or lubricant => what it says for glycol, silicone, mineral
  seals = {
    "EPDM" => %w[go go block],
    "SBR" => %w[go ask block],
    "NR" => %w[go ask block],
    "NBR" => %w[block ask go],
    "FKM" => %w[block go go],
    "PU" => %w[block ask go],
    "PTFE" => %w[go go go],
    "CR" => %w[place go place]
  }
  lubricants = {
    "own_fluid" => ["suited", "suited", "suited"],
    "rubber_grease" => ["suited, thin", "dry side only", "never"],
    "assembly_paste" => ["suited, thin", "never", "never"],
    "silicone_grease" => ["dry side only", "suited", "dry side only"],
    "mineral_grease" => ["never", "never", "dry side, metal to metal"],
    "copper_paste" => ["never", "never", "never"],
    "ptfe_film" => ["pivot only", "pivot only", "pivot only"],
    "penetrating_oil" => ["strip only, all rubber scrapped after"] * 3
  }
  families = %w[glycol silicone mineral]

  seals.each do |seal, cells|
    families.zip(cells) do |family, does|
      it("says #{does} of #{seal} in #{family}") { expect(described_class.seal(seal, family)["does"]).to eq does }
    end
  end

  lubricants.each do |lubricant, cells|
    families.zip(cells) do |family, label|
      it("says “#{label}” of #{lubricant} in #{family}") do
        expect(described_class.lubricant(lubricant, family)["label"]).to eq label
      end
    end
  end

  it "has no row beside these" do
    expect(Sandbag::Tables.rows("seals").map { |row| row["id"] }).to match_array(seals.keys)
    expect(Sandbag::Tables.rows("lubricants").map { |row| row["id"] }).to match_array(lubricants.keys)
  end

  it "refuses a rubber nobody knows" do
    expect { described_class.seal("felt", "glycol") }.to raise_error(Sandbag::Refusal, /not known/)
  end
end
