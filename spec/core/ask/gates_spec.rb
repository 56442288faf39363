# frozen_string_literal: true

RSpec.describe Sandbag::Ask::Intake do
  def intake(plain = twin_disc_plain, **answers)
    described_class.new(answers.transform_keys(&:to_s), sheet(plain))
  end

  it "fills in what the record knows, to be confirmed only" do
    known = intake.to_h.to_h { |row| [row[:id], row.slice(:value, :confirmed)] }
    expect(known).to include("abs" => {value: "none", confirmed: false},
      "fluid_marked" => {value: "dot4", confirmed: false}, "service_info" => {confirmed: false})
    expect(intake(abs: "fitted").to_h.find { |row| row[:id] == "abs" }).to include(value: "fitted", confirmed: true)
  end

  it "takes a kart's or a snowmobile's brake for the only one until told otherwise" do
    kart = Sandbag::Circuit::Template.sheet("kart_rear")
    expect(described_class.new({}, kart).value("sole_brake")).to eq "yes"
    expect(described_class.new({"sole_brake" => "no"}, kart).value("sole_brake")).to eq "no"
    expect(intake.value("sole_brake")).to be_nil
  end

  it "asks a clutch nothing about brakes" do
    expect(intake(clutch_plain).to_h.map { |row| row[:id] }).not_to include("abs", "linked", "sole_brake", "abs_tool")
  end

  it "asks first what can stop the job, and each question can be answered by a digit key" do
    stops = Sandbag::Tables.rows("intake").map { |row| row["stops"] || false }
    expect(stops).to eq stops.sort_by { |each| each ? 0 : 1 }
    Sandbag::Tables.rows("intake").each { |row| expect(row["values"].size).to be_between(2, 9) }
  end

  it "asks for the bleed tool only where there may be ABS" do
    asked = ->(abs) do
      described_class.new({}, changed(twin_disc_plain, "vehicle", abs: abs)).questions.map { |row| row["id"] }
    end
    expect(asked["none"]).not_to include("abs_tool")
    expect(asked["fitted"]).to include("abs_tool")
    expect(asked["unknown"]).to include("abs_tool")
  end

  describe "as it drives the job" do
    subject(:job) { JobInMemory.new(sheet(twin_disc_plain)) }

    def answer(question, value)
      job.add("ask", "intake", {"question" => question, "value" => value})
    end

    it "stops for linked brakes without a procedure, for somebody not at ease, for a fluid nobody knows" do
      {
        "R17" => [%w[linked unknown], %w[service_info partly]],
        "R16" => [%w[at_ease no]],
        "R08" => [%w[fluid_marked unknown], %w[fluid_found unknown]]
      }.each do |flag, answers|
        worked = JobInMemory.new(sheet(twin_disc_plain))
        answers.each { |question, value| worked.add("ask", "intake", {"question" => question, "value" => value}) }
        expect(worked.flags).to eq [flag]
      end
    end

    it "wants a second person for an only brake or a first job of its kind" do
      gates = -> { job.state.close.gates.map(&:id) }
      expect(gates[]).not_to include("second")
      answer("sole_brake", "yes")
      expect(gates[]).to include("second")
    end

    it "refuses what is no answer and what is not asked here" do
      expect(refusal_at { answer("at_ease", "robot") }).to eq ["data/value"]
      expect(refusal_at { answer("mood", "good") }).to eq ["data/question"]
      clutch = JobInMemory.new(sheet(clutch_plain))
      expect(refusal_at { clutch.add("ask", "intake", {"question" => "abs", "value" => "none"}) }).to eq [
        "data/question"
      ]
    end
  end
end

RSpec.describe Sandbag::Ask::AbsGate do
  def decide(opens, abs: "fitted", state: nil, tool: nil)
    found = state ? Sandbag::Ask::Findings.new.with("abs_state", state) : Sandbag::Ask::Findings.new
    described_class.decide(found, {"side" => "brake", "abs" => abs, "abs_tool" => tool}.compact, opens)&.fetch("id")
  end

  {
    "A1" => [["nothing"], {abs: "unknown", tool: "yes"}],
    "A2" => [["master"], {abs: "none", state: "lamp_on"}],
    "A3" => [["nothing"], {state: "lamp_on", tool: "yes"}],
    "A4" => [["below"], {state: "air_past_outlet", tool: "yes"}],
    "A6" => [["nothing"], {state: "air_past_outlet"}],
    "A8" => [["nothing"], {state: "clear"}],
    "A9" => [["above"], {state: "clear"}],
    "A10" => [["below"], {state: "clear"}]
  }.each do |row, (opens, facts)|
    it "#{row} decides for #{opens.first}, #{facts.values.join(", ")}" do
      expect(decide(*opens, **facts)).to eq row
    end
  end

  it "takes nobody having looked for air past the outlet" do
    expect(decide("nothing")).to eq "A6"
  end

  it "says nothing of a clutch" do
    expect(described_class.decide(Sandbag::Ask::Findings.new, {"side" => "clutch"}, "above")).to be_nil
  end

  describe "as it holds a job" do
    subject(:job) { JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "fitted")) }

    it "lets a flush pass when the lamp clears, and holds a reseal until a lead releases it" do
      job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
      job.add("ask", "route", {"route" => "flush"})
      expect(job.state.stop).to be_nil
      job.add("ask", "route", {"route" => "reseal_mc"})
      expect(job.state.ask.flags.map { |flag| [flag.id, flag.liftable] }).to eq [["A9", true]]
      expect(refusal_at { job.strokes(1) }).to eq ["stage"]
      job.add("ask", "lifted", {"flag" => "A9", "lead" => "R. Tarn", "reason" => "owner accepts referral"})
      expect(job.state.stop).to be_nil
    end

    it "decides by the joint that is opened, takes the worst until it is named, and is lifted for one joint only" do
      job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
      job.add("ask", "route", {"route" => "remake_joint"})
      at = ->(place) { job.add("ask", "at", {"places" => [place]}) }
      expect(job.flags).to eq ["A10"]
      {"joint.master" => "A9", "joint.left_hose.abs_in" => "A7", "joint.left_hose.abs_out" => "A7",
       "joint.right_caliper" => "A10"}.each do |place, row|
        at[place]
        expect(job.flags).to eq([row]), place
      end
      at["joint.master"]
      job.add("ask", "lifted", {"flag" => "A9", "lead" => "R. Tarn", "reason" => "owner accepts referral"})
      expect(job.state.stop).to be_nil
      at["joint.left_caliper"]
      expect(job.state.stop).to start_with "The job opens a caliper"
    end

    it "stops before the unit itself is opened, whatever a lead says, until the tool is on hand" do
      job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
      job.add("ask", "route", {"route" => "remake_joint"})
      job.add("ask", "at", {"places" => ["joint.left_hose.abs_out"]})
      expect(job.state.ask.flags.map { |flag| [flag.id, flag.liftable] }).to eq [["A7", false]]
      job.add("ask", "intake", {"question" => "abs_tool", "value" => "yes"})
      expect(job.flags).not_to include "A7"
    end

    it "lets no lead lift a stop of the gate: the facts have to change" do
      job.add("ask", "route", {"route" => "flush"})
      expect(job.state.ask.flags.map { |flag| [flag.id, flag.liftable] }).to eq [["A6", false]]
      expect(refusal_at { job.add("ask", "lifted", {"flag" => "A6", "lead" => "R", "reason" => "x"}) }).to eq [
        "data/flag"
      ]
      job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
      expect(job.state.stop).to be_nil
    end
  end
end

RSpec.describe Sandbag::Ask::Estimate do
  def route(id)
    Sandbag::Job::Route.find(id)
  end

  let(:shop) do
    Sandbag::Shop.new(
      "hourly_rate_minor" => "60",
      "prices" => {
        "kit" => "32",
        "unit" => "145",
        "washers" => "3",
        "cleaner" => "4",
        "fluid_100ml" => "3.50"
      }
    )
  end

  it "adds labour at the rate, things and fluid in whole minor units" do
    # motorcycle: 15+10+10+10+15+20+20+20+35+15+10 = 180 min
    estimate = described_class.new(route("reseal_mc"), "road", 152.0, shop)
    expect(estimate.minutes).to eq 180
    expect(estimate.lines.map { |line| line[:minor] }).to eq [18_000, 3200, 300, 400, 532]
    expect(estimate.total_minor).to eq 22_432
  end

  it "asks nothing for fluid that stays in" do
    labels = described_class.new(route("friction_work"), "road", 152.0, shop).lines.map { |line| line[:label] }
    expect(labels).to eq [labels.first, "Pads", "Cleaner and cloths"]
  end

  it "takes work and parts as often as the job has them" do
    twin = JobInMemory.new(sheet(twin_disc_plain))
    twin.answer_stops
    twin.add("ask", "route", {"route" => "slave_work"})
    minutes = -> { described_class.new(route("slave_work"), "road", 0, shop, times: twin.state.choose.times).minutes }
    twin.add("ask", "at", {"places" => ["far_end.left_caliper"]})
    one = minutes[]
    twin.add("ask", "at", {"places" => %w[far_end.left_caliper far_end.right_caliper]})
    expect(minutes[] - one).to eq 75
    twin.add("ask", "route", {"route" => "reend_hose"})
    twin.add("ask", "at", {"places" => ["line.left_hose"]})
    expect(twin.state.choose.times["hose"]).to eq 1
    kits = described_class.new(route("slave_work"), "road", 0, shop, times: {"slave_kit" => 2}).lines
    expect(kits.find { |line| line[:label].end_with?("× 2") }[:minor]).to eq 2 * shop.prices.fetch("slave_kit")
  end

  it "takes the minutes of the machine's kind" do
    minutes =
      %w[road scooter kart snowmobile bicycle].map do |kind|
        described_class.new(route("flush"), kind, 100, shop).minutes
      end
    expect(minutes).to eq [70, 100, 45, 75, 50]
  end

  it "offers the unit when the kit comes to over 70 % of it, and not otherwise" do
    # unit: 15+10+10+10+20+35+15+10 = 125 min; 12500 + 14500 + 300 + 400 + 532
    found = described_class.kit_or_unit(nil, "road", 152.0, shop)
    expect(found[:share]).to be_within(1e-9).of(22_432.0 / 28_232)
    expect(found[:advice]).to include("79 %").and include("offer the unit")
    dear = Sandbag::Shop.new(shop.to_h.merge("prices" => shop.prices.merge("unit" => 40_000)))
    expect(described_class.kit_or_unit(nil, "road", 152.0, dear)[:advice]).to include("cheaper if the bore passes")
  end

  it "never costs less for more fluid" do
    for_all(need: 0.0..500.0, more: 0.0..500.0) do |need:, more:|
      expect(described_class.new(route("flush"), "road", need + more, shop).total_minor).to be >=
        described_class.new(route("flush"), "road", need, shop).total_minor
    end
  end

  it "plans the stages of the trade, protection only and comparison included" do
    plan = ->(id) { route(id).plan }
    expect(plan["flush"]).to eq %w[ask choose protect bleed feel close]
    expect(plan["reseal_mc"]).to eq Sandbag::STAGES
    expect(plan["renew_mc"]).to eq %w[ask choose compare strip fit bleed feel close]
    expect(plan["switch_only"]).to eq %w[ask choose fit feel close]
    Sandbag::Job::Route.all.each { |each| expect(each.plan - Sandbag::STAGES - %w[protect compare]).to be_empty }
  end

  it "has work, minutes and money for every route" do
    Sandbag::Job::Route.all.each do |each|
      expect(described_class.new(each, "road", 100, shop).minutes).to be_positive, each.id
    end
  end

  it "says nothing of shares where nothing is charged" do
    free =
      Sandbag::Shop.new(
        "hourly_rate_minor" => 0,
        "prices" => Sandbag::Tables.rows("prices").to_h { |row| [row["id"], 0] }
      )
    expect(described_class.kit_or_unit(nil, "road", 152.0, free)).not_to have_key(:share)
  end
end

RSpec.describe Sandbag::Money do
  {"45" => 4500, "45.5" => 4550, "45,50" => 4550, "0.07" => 7, 4500 => 4500}.each do |typed, minor|
    it("reads #{typed} as #{minor}") { expect(described_class.parse(typed)).to eq minor }
  end

  it "refuses what is no sum, negative, or finer than a hundredth" do
    ["", "free", "-4", "1.234", "1e3", "12345678", -5, 1.5, nil].each do |typed|
      expect(problems { described_class.parse(typed) }).not_to be_empty, typed.inspect
    end
  end

  it "goes to the shop by path" do
    expect(refusal_at { Sandbag::Shop.new("prices" => {"kit" => "free"}) }).to eq ["prices/kit"]
    expect(refusal_at { Sandbag::Shop.new("hourly_rate_minor" => "much") }).to eq ["hourly_rate_minor"]
    expect(refusal_at { Sandbag::Shop.new("currency" => "euro") }).to eq ["currency"]
  end
end

RSpec.describe Sandbag::Ask::Wait do
  it "ends by its own length, or when it is said" do
    expect(described_class.of({"wait" => "aerated_fluid"}, "2026-03-14T09:00:00Z")).to eq(
      label: "Foamy fluid to settle",
      until: "2026-03-14T09:15:00Z"
    )
    expect(
      described_class.of(
        {"wait" => "parts_on_order", "until" => "2026-03-20T09:00:00+01:00"},
        "2026-03-14T09:00:00Z"
      )[
        :until
      ]
    ).to eq "2026-03-20T08:00:00Z"
  end

  it "refuses a time that is none, and parts without one" do
    expect(refusal_at { described_class.of({"wait" => "parts_on_order"}, "2026-03-14T09:00:00Z") }).to eq [
      "data/until"
    ]
    expect(
      refusal_at { described_class.of({"wait" => "parts_on_order", "until" => "soon"}, "2026-03-14T09:00:00Z") }
    ).to eq ["data/until"]
  end

  it "shows on the job and goes when it is taken back" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    waiting = job.add("ask", "wait", {"wait" => "shaken_bottle"})
    expect(job.state.ask.wait[:label]).to eq "Shaken bottle to stand"
    job.undo("ask", waiting)
    expect(job.state.ask.wait).to be_nil
  end
end
