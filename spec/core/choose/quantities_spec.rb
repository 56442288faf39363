# frozen_string_literal: true

require "date"

RSpec.describe "Quantities by hand" do
  include ShelfThings

  def need(sheet, opened:, method: "hold_cycle")
    plan = Sandbag::Airway::Plan.new(sheet, opened: opened)
    Sandbag::Choose::FluidNeed.of(plan, drained: opened, method: Sandbag::Tables.find("bleed_methods", method))[
      :total_ml
    ]
  end

  it "sums a twin-caliper motorcycle, filled from dry" do
    # fill 55; reservoir 42; master outlet 3.969; right: hose 6.836 + 8 ln 20 = 23.966; left: 6.032 + 23.966; waste
    # 20; a fifth on top (the cylinder is counted at its own point, since the master was opened)
    sum = 55 + 42 + 3.969 + (6.836 + 23.966) + (6.032 + 23.966) + 20
    expect(need(sheet(twin_disc_plain), opened: true)).to be_within(0.02).of(1.2 * sum)
  end

  it "sums a bicycle bled with two syringes" do
    # cylinder π·25·8/1000 = 0.628; hose π/4·4·1000/1000 = 3.142; caliper 2 ln 20 = 5.991; reservoir 5; syringes 30; a
    # fifth on top
    plan = Sandbag::Airway::Plan.new(sheet(bicycle_plain), opened: false)
    method = Sandbag::Tables.find("bleed_methods", "two_syringe")
    lines = Sandbag::Choose::FluidNeed.of(plan, drained: false, method: method)[:lines]
    sum = 1.2 * (5 + 0.628 + 3.142 + 5.991 + 30)
    expect(lines[..-2].sum { |line| line[:ml] }).to be_within(0.02).of(sum)
    expect(lines.last).to match(label: "To fill both syringes", ml: be_within(0.02).of(80 - sum))
    expect(need(sheet(bicycle_plain), opened: false, method: "two_syringe")).to be_within(1e-9).of(80)
  end

  it "sums a clutch" do
    # cylinder π·49·11/1000 = 1.693; hose π/4·3.2²·900/1000 = 7.238; slave 4 ln 20 = 11.983; reservoir 15; waste 20; a
    # fifth on top
    expect(need(sheet(clutch_plain), opened: false)).to be_within(0.02).of(1.2 * (15 + 1.693 + 7.238 + 11.983 + 20))
  end

  it "lays only the hose from the added master where one is added to a foot brake" do
    job = JobInMemory.of_template("road_rear")
    job.answer_stops
    job.add("ask", "route", {"route" => "add_mc"})
    expect(job.state.sheet.parts_of("line").map { |line| line["id"] }).to eq %w[added_feed hose]
    expect(job.state.choose.laid_hoses.map { |line| line["id"] }).to eq ["added_feed"]
  end

  it "never needs less for a purer flush" do
    for_all(purity: 0.5..0.98, more: 0.001..0.019) do |purity:, more:|
      poor, pure =
        [purity, purity + more].map { |share| need(changed(twin_disc_plain, "fluid", purity: share), opened: false) }
      expect(pure).to be >= poor
    end
  end

  describe Sandbag::Choose::BottlePlan do
    let(:today) { Date.new(2026, 3, 14) }

    def plan(need_ml, *moves, clutch: false)
      described_class.new(need_ml, "dot4", stock_of(*moves).of("bottle"), today: today, clutch: clutch).to_h
    end

    def picked(plan)
      plan[:picked].map { |bottle| [bottle[:item], bottle[:ml].round, bottle[:left_ml].round] }
    end

    it "pours the opened bottle out first and opens the sealed one that leaves the least" do
      shelf = [
        added_bottle("open"),
        move("open", "opened", {"on" => "2026-02-01"}),
        move("open", "measured", {"ml" => 60}),
        added_bottle("litre", size: 1000),
        added_bottle("small", size: 250)
      ]
      result = plan(200, *shelf)
      expect(picked(result)).to eq [["open", 60, 0], ["small", 140, 110]]
      expect(result[:picked].last[:left_until]).to eq "2026-06-14"
    end

    it "takes two small ones for a large need rather than leave more of a large one" do
      result = plan(480, added_bottle("litre", size: 1000), added_bottle("a", size: 250), added_bottle("b", size: 250))
      expect(picked(result).map(&:first)).to eq %w[a b]
    end

    it "buys whole sealed bottles of a size the shelf knows" do
      result = plan(600, added_bottle("a", size: 250))
      expect(result).to include(short_ml: 350.0, buy: {size_ml: 250.0, count: 2, fluid: "DOT 4 glycol"})
      expect(plan(600)[:buy]).to include(size_ml: 500.0, count: 2)
    end

    it "leaves alone what is too old, shaken, promised or another fluid" do
      shelf = [
        added_bottle("old"),
        move("old", "opened", {"on" => "2025-10-01"}),
        added_bottle("stale", use_by: "2026-03-01"),
        added_bottle("shaken"),
        move("shaken", "shaken"),
        added_bottle("other", fluid: "dot51"),
        added_bottle("promised"),
        move("promised", "reserved", {"job" => "j", "count" => 500})
      ]
      expect(plan(100, *shelf)).to include(picked: [], short_ml: 100.0)
      # a clutch may take glycol that has been open longer
      expect(picked(plan(100, *shelf, clutch: true))).to eq [["old", 100, 400]]
    end

    it "always gives what is needed, or says what is short or done without" do
      for_all(need: 1.0..900.0, first: 50.0..500.0, second: 50.0..500.0) do |need:, first:, second:|
        result = plan(need, added_bottle("a", size: first), added_bottle("b", size: second))
        given = result[:picked].sum { |bottle| bottle[:ml] }
        expect(given + result[:short_ml] + result.fetch(:trim_ml, 0)).to be_within(1e-6).of(need)
      end
    end
  end
end
