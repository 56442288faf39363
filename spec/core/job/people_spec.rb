# frozen_string_literal: true

RSpec.describe Sandbag::Job::People do
  let(:people) do
    described_class.new([{"name" => "M. Beck", "role" => "lead"}, {"name" => "R. Tarn", "role" => "mechanic"},
      {"name" => "J. Fell", "role" => "learner"}])
  end

  it "names those whose role has a power, and everybody where none is asked for" do
    expect(people.able("leads")).to eq ["M. Beck"]
    expect(people.able("signs")).to eq ["M. Beck", "R. Tarn"]
    expect(people.able(nil)).to eq ["M. Beck", "R. Tarn", "J. Fell"]
  end

  it "refuses one without the power, and a stranger, with the names of those who have it" do
    expect(problems { people.refuse("/name", "J. Fell", "signs") }.first.message)
      .to eq "J. Fell is a learner: no learner signs a release"
    expect(problems { people.refuse("/name", "A. Nab", "leads") }.first.accepted).to eq "M. Beck"
    expect(people.refuse("/name", "J. Fell")).to be_nil
    expect(described_class.new.refuse("/name", "A. Nab", "leads")).to be_nil
  end
end
