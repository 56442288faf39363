# frozen_string_literal: true

RSpec.describe Sandbag::Day do
  def read(...)
    described_class.read(...)&.iso8601
  end

  it "reads a day as it is usually written, the day before the month" do
    [
      "2026-12-01",
      "1.12.2026",
      "01/12/2026",
      "1-12-2026",
      "1 Dec 2026",
      "1 december 2026",
      "1 Dec, 2026",
      "2026/12/1",
      " 1.12.2026. "
    ].each { |typed| expect([typed, read(typed)]).to eq [typed, "2026-12-01"] }
  end

  it "takes a day without a year as the next one, where it is told from when" do
    today = Date.new(2026, 11, 26)
    expect(["1 Dec", "1.12.", "26/11", "25.11."].map { |typed| read(typed, after: today) }).to eq %w[
      2026-12-01
      2026-12-01
      2026-11-26
      2027-11-25
    ]
    expect(read("1 Dec")).to be_nil
  end

  it "reads nothing into what is no day" do
    [
      "",
      nil,
      2024,
      "soon",
      "31.2.2026",
      "1.12.2026.9",
      "13/13/2026",
      "1 Dex 2026",
      "1.12.26",
      "24-01-01",
      "2026",
      "1 2 3 2026",
      "0.1.2026"
    ].each { |typed| expect([typed, read(typed)]).to eq [typed, nil] }
  end

  it "reads back every day it is given, in each of its forms" do
    for_all(day: 0.0..20_000.0) do |day:|
      date = Date.new(1990, 1, 1) + day.floor
      forms = [
        date.iso8601,
        date.strftime("%-d.%-m.%Y"),
        date.strftime("%-d %B %Y"),
        date.strftime("%d/%m/%Y"),
        date.strftime("%-d %b %Y")
      ]
      expect(forms.map { |form| described_class.read(form) }.uniq).to eq [date]
    end
  end

  it "says the day and the moment of what is stored" do
    expect(described_class.of("2026-12-01")).to eq "1 Dec 2026"
    expect(described_class.of("2026-12-01T09:30:59Z")).to eq "1 Dec 2026"
    expect(described_class.moment("2026-12-01T09:30:59Z")).to eq "1 Dec 2026, 09:30 UTC"
  end
end
