# frozen_string_literal: true

RSpec.describe Sandbag::Measures do
  let(:klass) do
    Class.new do
      extend Sandbag::Measures

      measures :length_mm, :bore_mm, air_ml: 0
    end
  end

  it "makes frozen values of Floats that are equal when their measures are" do
    one = klass.new(length_mm: 1, bore_mm: 2)
    same = klass.new(length_mm: 1.0, bore_mm: 2.0, air_ml: 0.0)
    expect(one).to eq same
    expect([one, same].uniq.size).to eq 1
    expect(one).to be_frozen
    expect(one.length_mm).to be_a(Float)
  end

  it "refuses by name what is missing, no number or not finite" do
    [nil, "12", Float::NAN, Float::INFINITY].each do |bad|
      expect(refusal_at { klass.new(length_mm: 1, bore_mm: bad) }).to eq ["bore_mm"]
    end
    expect(refusal_at { klass.new(length_mm: 1) }).to eq ["bore_mm"]
  end

  it "changes one measure and keeps the others" do
    expect(klass.new(length_mm: 1, bore_mm: 2).with(bore_mm: 3).to_h).to eq(length_mm: 1.0, bore_mm: 3.0, air_ml: 0.0)
  end

  it "takes an unknown measure for a mistake of ours" do
    expect { klass.new(length_mm: 1, bore_mm: 2, colour: 3) }.to raise_error(ArgumentError, /colour/)
  end
end
