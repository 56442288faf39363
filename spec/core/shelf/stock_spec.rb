# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Shelf::Stock do
  include ShelfThings

  it "counts pieces in, out and again" do
    stock = stock_of(added_kit(count: 2), move("kit", "received", {"count" => 3}),
      move("kit", "reserved", {"job" => "j", "count" => 2}), move("kit", "used", {"job" => "j"}))
    expect(stock.find("kit").amount).to eq 3
    expect(stock_of(added_kit(count: 2), move("kit", "counted", {"count" => "5"})).find("kit").free).to eq 5
  end

  it "has of one kind what was not thrown away" do
    stock = stock_of(added_kit, move("kit", "counted", {"count" => 1}))
    expect([stock.of("kit").map(&:id), stock.of("bottle")]).to eq [["kit"], []]
    expect(stock_of(added_kit, move("kit", "discarded", {"reason" => "wet"})).of("kit")).to eq []
  end

  it "promises no more than is free, and says who has the rest" do
    stock = stock_of(added_kit, move("kit", "reserved", {"job" => "first", "count" => 1}))
    refused = problems { stock.admit(move("kit", "reserved", {"job" => "second", "count" => 1})) }.first
    expect([refused.pointer, refused.message]).to match ["data/count",
      a_string_including("0 free").and(including("first"))]
  end

  it "gives back only what was promised" do
    promised = [added_kit(count: 3), move("kit", "reserved", {"job" => "j", "count" => 3})]
    expect(stock_of(*promised, move("kit", "released", {"job" => "j", "count" => 1})).find("kit").promised("j")).to eq 2
    expect(stock_of(*promised, move("kit", "released", {"job" => "j", "count" => 3})).find("kit").reserved).to be_empty
    expect(refusal_at { stock_of(*promised).admit(move("kit", "used", {"job" => "other"})) }).to eq ["data/job"]
  end

  it "is never less than nothing, whatever is moved" do
    for_all(count: 1.0..9.0, promise: 1.0..12.0, counted: 0.0..12.0) do |count:, promise:, counted:|
      admitted = [Sandbag::Shelf::Stock.new.admit(added_kit(count: count.round))]
      [
        move("kit", "reserved", {"job" => "j", "count" => promise.round}),
        move("kit", "counted", {"count" => counted.round}),
        move("kit", "used", {"job" => "j"})
      ].each do |each|
        admitted << described_class.fold(admitted).admit(each)
      rescue Sandbag::Refusal
        next
      end
      item = described_class.fold(admitted).find("kit")
      expect([item.amount, item.free].min).to be >= 0
    end
  end

  it "is described again, field by field, and keeps its amount and its promises" do
    promised = [added_kit(count: 2), move("kit", "reserved", {"job" => "j", "count" => 1})]
    item =
      stock_of(
        *promised,
        move(
          "kit",
          "described",
          {"name" => "Kit, re-bagged", "place" => "Drawer 9", "fields" => {"bore" => "9/16"}}
        )
      ).find("kit")
    expect(item).to have_attributes(name: "Kit, re-bagged", place: "Drawer 9", amount: 2, free: 1)
    expect(item.fields["bore"]).to be_within(1e-9).of(14.2875)
    expect(item.fields).to include("construction" => "bar_axial_circlip", "contents" => a_hash_including("boot"))
  end

  it "refuses a description its kind of thing does not have, and words where a bore belongs" do
    stock = stock_of(added_kit, added_bottle)
    {"kit" => {"bore" => "wide"}, "bottle" => {"size" => -5}}.each do |item, fields|
      expect(refusal_at { stock.admit(move(item, "described", {"fields" => fields})) }).to eq [
        "data/fields/#{fields.keys.first}"
      ]
    end
    expect(refusal_at { stock.admit(move("bottle", "described", {"fields" => {"bore" => 14}})) }).to eq [
      "data/fields/bore"
    ]
    expect(refusal_at { stock.admit(move("kit", "described", {"fields" => {"contents" => "all of it"}})) }).to eq [
      "data/fields/contents"
    ]
  end

  it "knows no half pieces" do
    stock = stock_of(added_kit(count: 3))
    [
      move("kit", "received", {"count" => 1.5}),
      move("kit", "counted", {"count" => "2,5"}),
      move("kit", "reserved", {"job" => "j", "count" => 0.5}),
      added_kit("other", count: 0.25)
    ].each do |half|
      expect(problems { stock.admit(half) }.first).to have_attributes(
        pointer: "data/count",
        message: a_string_ending_with("is no number of pieces")
      )
    end
  end

  it "leaves no more in a bottle than it holds, by measuring or by describing" do
    stock = stock_of(added_bottle(size: 500))
    expect(stock.admit(move("bottle", "measured", {"ml" => 500})).data["ml"]).to eq 500
    expect(problems { stock.admit(move("bottle", "measured", {"ml" => 501})) }.first).to have_attributes(
      pointer: "data/ml",
      message: "Bottle bottle: 501 mL in a bottle of 500"
    )
    expect(refusal_at { stock.admit(move("bottle", "described", {"fields" => {"size" => 250}})) }).to eq [
      "data/fields/size"
    ]
  end

  it "refuses to count away or throw away what is promised" do
    stock = stock_of(added_kit(count: 2), move("kit", "reserved", {"job" => "j", "count" => 2}))
    expect(refusal_at { stock.admit(move("kit", "counted", {"count" => 1})) }).to eq ["data"]
    expect(refusal_at { stock.admit(move("kit", "discarded", {"reason" => "lost"})) }).to eq ["data"]
  end

  it "knows nothing of a thing that was never there, is there twice, or was thrown away" do
    stock = stock_of(added_kit, move("kit", "discarded", {"reason" => "bag torn"}))
    expect(refusal_at { stock.admit(move("ghost", "received", {"count" => 1})) }).to eq ["item"]
    expect(refusal_at { stock.admit(added_kit) }).to eq ["item"]
    expect(problems { stock.admit(move("kit", "received", {"count" => 1})) }.first.message).to include("bag torn")
    expect(stock.of("kit")).to be_empty
  end

  {
    "a kit with nothing in it" => [{contents: {}}, "data/fields/contents"],
    "a part no kit holds" => [{contents: {"engine" => {}}}, "data/fields/contents/engine"],
    "a rubber nobody knows" => [{contents: {"boot" => {"material" => "felt"}}}, "data/fields/contents/boot/material"],
    "a bore no cylinder has" => [{bore: 900}, "data/fields/bore"],
    "a construction nobody knows" => [{construction: "barrel"}, "data/fields/construction"]
  }.each do |what, (fields, pointer)|
    it("refuses #{what}") { expect(refusal_at { described_class.new.admit(added_kit(**fields)) }).to eq [pointer] }
  end

  it "refuses moves that a kind of thing does not make" do
    expect(refusal_at { stock_of(added_kit).admit(move("kit", "opened", {"on" => "2026-03-01"})) }).to eq ["kind"]
    expect(refusal_at { stock_of(added_kit).admit(move("kit", "eaten")) }).to eq ["kind"]
    expect(refusal_at { stock_of(added_bottle).admit(move("bottle", "received", {"count" => 1})) }).to eq ["kind"]
  end

  describe "a bottle" do
    it "starts its clock when it is opened, or when a job draws from it" do
      expect(bottle(opened: "2026-03-01").opened_on).to eq "2026-03-01"
      drawn =
        stock_of(
          added_bottle,
          move("bottle", "reserved", {"job" => "j", "count" => "120"}),
          move("bottle", "used", {"job" => "j"})
        ).find("bottle")
      expect([drawn.amount, drawn.opened_on]).to eq [380, "2026-03-14"]
    end

    {
      "2026-03-15" => "tomorrow",
      "1969-12-31" => "before 1970",
      "2026-02-30" => "no day",
      "unknown" => "not known"
    }.each do |day, what|
      it("refuses to have been opened #{what}") do
        expect(refusal_at { stock_of(added_bottle).admit(move("bottle", "opened", {"on" => day})) }).to eq ["data/on"]
      end
    end

    it "is opened once" do
      expect(
        refusal_at do
          stock_of(added_bottle, move("bottle", "opened", {"on" => "2026-03-01"})).admit(
            move("bottle", "opened", {"on" => "2026-03-02"})
          )
        end
      ).to eq ["data/on"]
    end
  end
end

RSpec.describe Sandbag::Fluid::Bottle do
  include ShelfThings

  def refusal(today: "2026-03-14", clutch: false, **of)
    described_class.new(bottle(**of), Date.iso8601(today), clutch: clutch).refusal
  end

  it "may be used sealed and in date, and up to three months opened" do
    expect(refusal).to be_nil
    expect(refusal(use_by: "2026-03-14")).to be_nil
    expect(refusal(use_by: "2026-03-13")).to include("use-by")
    expect(refusal(opened: "2025-12-14")).to be_nil
    expect(refusal(opened: "2025-12-13")).to include("over 3 months")
  end

  it "may go into a clutch up to a year" do
    expect(refusal(opened: "2025-12-13", clutch: true)).to be_nil
    expect(refusal(opened: "2025-03-13", clutch: true)).to include("throw it away")
  end

  it "has no such clock where the fluid takes no water up" do
    expect(refusal(fluid: "mineral", opened: "2024-01-01")).to be_nil
  end

  it "has to stand after it was shaken" do
    shaken = [added_bottle, move("bottle", "shaken")]
    expect(described_class.new(stock_of(*shaken).find("bottle"), Date.new(2026, 3, 14)).refusal).to include(
      "look for bubbles"
    )
    expect(
      described_class.new(stock_of(*shaken, move("bottle", "rested")).find("bottle"), Date.new(2026, 3, 14)).refusal
    ).to be_nil
  end
end
