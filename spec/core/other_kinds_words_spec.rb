# frozen_string_literal: true

# What is asked at the lever and at the end of a job speaks of this kind of circuit alone.
RSpec.describe "The words of another kind" do
  said = lambda do |kind|
    gates = Sandbag::Tables.rows("gates").select { |row| kind.has?(*(row["must"] || row["may"])) }
    tests = Sandbag::Tables.rows("feel_tests").select { |row| kind.suits?(row) }
    [*gates.map { |row| row["detail"] }, *tests.map { |row| row["how"] }].map { |text| kind.fill(text) }
  end

  Sandbag::Circuit::Kind.all.each do |kind|
    it "are not heard on #{kind.label}" do
      clutch = kind.far_end == "slave"
      expect(said[kind].grep(clutch ? /\b(?:pads?|discs?|wheel spins)\b/i : /clutch|plates/i)).to be_empty
      expect(said[kind].grep(/\{/)).to be_empty
    end
  end
end
