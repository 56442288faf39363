# frozen_string_literal: true

RSpec.describe Sandbag::Person do
  it "takes one person for one, however the name is written" do
    ["R. Tarn", "r tarn", "Rob Tarn", "Tarn", "R.  TARN", "Rób Tarn"].each do |name|
      expect(described_class.same?("R. Tarn", name)).to be(true), name
      expect(described_class.same?(name, "R. Tarn")).to be(true), name
    end
  end

  it "takes two people for two" do
    ["M. Tarn", "R. Beck", "Tarn R.", "Rob Tarnbeck"].each do |name|
      expect(described_class.same?("R. Tarn", name)).to be(false), name
    end
  end

  it "knows nobody by spaces, signs or letters that cannot be seen" do
    expect([" ", "...", "\u200b\u200b", "42"].map { |name| described_class.none?(name) }).to all be true
    expect(described_class.none?("李")).to be false
  end
end
