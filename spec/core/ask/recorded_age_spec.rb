# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Ask::RecordedAge do
  let(:row) { Sandbag::Tables.find("intake", "fluid_date") }

  def age(day)
    described_class.new(changed(twin_disc_plain, "fluid", changed_on: day), Date.new(2026, 3, 14))
  end

  it "answers by the day in the record, from one year to the next" do
    {"2025-03-15" => "under_1", "2025-03-13" => "under_2", "2024-03-15" => "under_2", "2024-03-13" => "over_2"}
      .each { |day, answer| expect([day, age(day).answer(row)]).to eq [day, answer] }
  end

  it "answers nothing where the record does not know, or the day is not known today" do
    expect(age("unknown").answer(row)).to be_nil
    expect(described_class.new(changed(twin_disc_plain, "fluid", changed_on: "2024-03-13"), nil).answer(row)).to be_nil
  end

  it "says where record and mechanic differ, and nothing where they agree or one of them does not know" do
    expect(age("2024-03-13").against(row, "under_1")).to include("The record says").and include("“under a year ago”")
    expect(%w[over_2 unknown].map { |said| age("2024-03-13").against(row, said) }).to eq [nil, nil]
    expect(age("unknown").against(row, "under_1")).to be_nil
  end
end
