# frozen_string_literal: true

require_relative "../../support/by_now"
require_relative "../../support/told_job"

# The cards of what can be done now lead through a whole job: each that is drawn is admitted, and the last is the
# signature.
RSpec.describe Sandbag::Job::Now do
  templates = Sandbag::Tables.ids("circuit_templates")
  routes = Sandbag::Job::Route.all.reject(&:stops?)
  # spec/core/told works these by the same cards
  told = ToldJob::JOBS.map { |template, route, _| [template, Sandbag::Job::Route.find(route)] }

  # Every template and every route that is not told, on one after the other.
  pairs = (templates - told.map(&:first)).each_with_index.map do |template, index|
    kind = Sandbag::Circuit::Template.sheet(template).kind
    [template, routes.rotate(3 * index).find { |route| route.suits?(kind) }]
  end
  pairs += (routes - [*told, *pairs].map(&:last)).map do |route|
    [templates.find { |template| route.suits?(Sandbag::Circuit::Template.sheet(template).kind) }, route]
  end

  # Each with what another mechanic owns: nobody is asked for what these hands cannot give.
  pairs.zip(ByNow::OWNED.cycle).each do |(template, route), (name, owns)|
    it "leads #{route.label} on #{template.tr("_", " ")} to its signature, with #{name}", :slow do
      hand = ByNow.new(JobInMemory.new(Sandbag::Circuit::Template.filled(template), careful: false), route.id, owns)
      expect(hand.work).to be true
      expect(hand.seen.map(&:first)).to include("ask", "close")
      expect(hand.seen.map(&:last).uniq - described_class::KINDS).to be_empty
      expect(hand.job.view("close")[:now]).to be_empty
    end
  end

  def job(template = "road_front_twin")
    @job ||= JobInMemory.new(Sandbag::Circuit::Template.filled(template), careful: false)
  end

  it "draws none while the job is stopped, on hold or signed" do
    expect(job.view("ask")[:now]).not_to be_empty
    job.answer_stops
    job.add("close", "held", {"name" => "R. Tarn", "reason" => "parts"})
    expect(job.view("ask")[:now]).to be_empty
  end

  it "says what another stage has to do first, and where" do
    job.answer_stops
    job.add("ask", "route", {"route" => "reseal_mc"})
    expect(job.view("strip")[:now])
      .to eq [{kind: "go", id: "go", title: "Fetch what is still missing", stage: "choose"}]
    expect(job.view("ask")[:now].first).to include(kind: "go", title: "Go on to Choose", stage: "choose")
  end

  it "counts the strokes down, and says when the reservoir wants filling before it says anything else" do
    job.ready_to_bleed("bleed")
    job.choose_what_is_wanted
    job.look_before_fluid
    card = job.view("bleed")[:now].first
    expect(card).to include(id: "beat.hold", figure: job.state.bleed.count.current.strokes_to_go.to_s)
    borne = job.state.bleed.count.reservoir.strokes_to_uncover
    borne.times { job.add("bleed", "stroke") }
    expect(job.view("bleed")[:now].map { |each| each[:id] }).to eq %w[topped_up]
  end

  it "lists the looks at one place together, before each of them, but for what is looked at alone or found not right" do
    worked_to("close", "wash")
    round = job.view("close")[:now].find { |card| card[:id] == "round.far_end" }
    expect(round).to include(kind: "round", title: "At the far end")
    looks = round[:all][:looks].map { |look| look[:entry][:data] }
    expect(round[:all][:label]).to eq "All #{looks.size} good"
    expect(looks).to include({gate: "back_wheel", met: true})
    expect(looks.map { |data| data[:gate] }).not_to include("friction", a_string_starting_with("nipple"))
    job.add("close", "gate", {"gate" => "back_wheel", "met" => false})
    left = job.view("close")[:now].find { |card| card[:id] == "round.far_end" }[:all][:looks]
    expect(left.map { |look| look[:entry][:data] }).to eq(looks - [{gate: "back_wheel", met: true}])
    expect(job.view("close")[:now].map { |card| card[:id] }).to include("gate.back_wheel")
  end

  it "makes no round of one look" do
    worked_to("close", "wash")
    job.view("close")[:now].find { |card| card[:id] == "round.far_end" }[:all][:looks].drop(1).each do |look|
      job.add("close", "gate", JSON.parse(JSON.generate(look[:entry][:data])))
    end
    expect(job.view("close")[:now].map { |card| card[:id] }).not_to include("round.far_end")
  end

  context "when a kart's master is resealed" do
    let(:cards) do
      ByNow.new(job("kart_rear"), "reseal_mc").tap(&:work).cards.each_with_object({}) do |card, first|
        first[card[:id]] ||= card
      end
    end

    # @return [Array<String>] labels of a round
    def looks(round)
      cards.fetch("round.#{round}")[:all][:looks].map { |look| look[:label] }
    end

    it "takes together what is simply fetched, done or seen to be good" do
      expect(cards["round.tools"]).to include(title: "Fetch the tools", all: include(label: "All 3 here"))
      expect(cards["round.setup"][:all]).to include(label: "All 5 done")
      expect(looks("setup")).to include("Eye shield and gloves on")
      expect(looks("reservoir")).to eq ["Diaphragm, plate, rim", "Rim of the reservoir and gasket",
        "Reservoir window and body"]
      expect(cards["round.reservoir"][:all][:looks].first[:how])
        .to eq "Both sides, folds opened. Good: supple, dry."
      expect(looks("inner")).to eq ["Cups, seals and boots", "Spring", "Circlip, washer and pin"]
      expect(looks("checks")).to include("Piston slides", "Ports clear")
      expect(looks("start")).to include("One-way valve tested")
      nipple = cards["round.start"][:all][:looks].find { |look| look[:label].start_with?("Each nipple") }
      expect(nipple).to include(how: "Hole open, thread and hex sound.",
        entry: {kind: "check", data: {check: "nipple_sound", value: "sound"}})
    end

    it "takes together the same look and the same fastener at several places" do
      three = ByNow.new(job("kart_front_rear"), "reseal_mc").tap(&:work).cards.to_h { |card| [card[:id], card] }
      expect(three["round.hoses"]).to include(title: "Each hose: bend it, look at both ends, squeeze hard",
        detail: start_with("Outside without cracks"), all: include(label: "All 4 sound"))
      expect(three["round.hoses"][:all][:looks].first).to eq(label: "Front tube",
        entry: {kind: "setup", data: {item: "hose.trunk", value: "sound"}})
      expect(three["round.nipple"]).to include(title: "Each nipple: shut and capped", all: include(label: "All 3 good"))
      expect(three["torque.all.nipple"]).to include(title: "Tighten all 3, one after the other", figure: "6.5 N·m",
        detail: "Nipple of the left caliper; Nipple of the right caliper; Nipple of the axle caliper")
      expect(three["torque.all.nipple"][:field]).to include(
        entry: {kind: "torque", data: {fastener: "nipple.caliper_left"}},
        also: [{kind: "torque", data: {fastener: "nipple.caliper_right"}},
          {kind: "torque", data: {fastener: "nipple.caliper_rear"}}]
      )
    end

    it "asks alone for a fastener that was read out of its range" do
      hand = ByNow.new(job("kart_front_rear"), "reseal_mc")
      hand.send(:follow, *step(hand)) until now("fit").any? { |card| card[:id] == "torque.all.nipple" }
      job.add("fit", "torque", {"fastener" => "nipple.caliper_left", "value" => 12})
      expect(now("fit").map { |card| card[:id] }).to start_with("torque.nipple.caliper_left", "torque.all.nipple")
      expect(now("fit")[1][:title]).to eq "Tighten all 2, one after the other"
    end

    def now(stage)
      (job.state.current == stage) ? job.view(stage)[:now] : []
    end

    it "asks alone for what seals or slides, takes its time, is measured or wants a photo" do
      expect(cards.keys).to include(*%w[
        look.bore look.ports look.piston look.glide look.old_cups setup.free_play inner.piston check.soaked check.ring
      ])
    end

    it "takes together the steps that are simply done one after the other, with the photo that they want" do
      lid = cards["round.steps.lid"]
      expect(looks("steps.lid").first(3)).to eq ["Lid screws out", "Lock tab off", "Lid off"]
      expect(lid[:all][:looks].map { |look| look[:entry][:data][:step] })
        .to eq %w[lid_screws lid_lock lid plate diaphragm insert]
      expect(lid).to include(all: include(label: "All 6 done"),
        photo: "Long and short screws, arrow or vent side of the lid, ribs of the plate")
      expect(lid[:all][:looks].first[:how])
        .to eq "Clean and tap the heads first, then turn. Watch out: chewed heads."
      expect(looks("steps.routing")).to eq ["Thread engaged", "Hose routed", "Free play set"]
      expect(cards.keys).to include("step.drain", "step.bore_circlip", "step.piston")
    end

    it "fetches parts and fluid together, each with how many" do
      expect(looks("parts")).to eq ["Seal kit", "Crush washers", "Fluid"]
      expect(cards["round.parts"][:all][:looks].map { |look| look[:how] }).to match [/\A1\./, /\A2\./, / mL/]
    end

    it "finishes a point with the step that comes last there" do
      last = cards["beat.shut"]
      expect(last).to include(title: "Close: Master outlet ran clean")
      expect(last[:act]).to include(entry: {kind: "beat", data: {beat: "shut"}},
        following: {kind: "point_done", data: {point: "master_outlet"}})
    end

    it "does the step with the right answer of its last part, and with no other" do
      spring = cards["facing.spring"]
      expect(spring).to include(title: "Put in: return spring", figure: "1 of 4",
        detail: start_with("Which way does it face? Large end of the spring."))
      expect(spring[:answers].filter_map { |each| each[:following] })
        .to eq [{kind: "step", data: {step: "spring"}}]
      right = spring[:answers].find { |each| each[:following] }
      expect(right[:entry][:data][:faces]).to eq job.state.build.put_back.steps.first.takes.first.faces
      expect(cards["facing.piston"][:answers].map(&:keys)).to all eq %i[label entry]
      expect(cards["facing.primary_cup"]).to include(title: start_with("Put in: shaft piston"),
        detail: end_with("primary cup. Full return. Lip even. Cone used, lip even."))
    end
  end

  # Up to the stage in which a card for this gate stands.
  def worked_to(stage, gate)
    hand = ByNow.new(job, "bleed")
    hand.send(:follow, *step(hand)) until
      job.state.current == stage && job.view(stage)[:now].any? { |card| card[:id].end_with?(gate) }
  end

  it "offers the second leak watch with the time from which it counts" do
    job("bike_front")
    hand = ByNow.new(job, "bleed")
    allow(job).to receive(:wait_minutes)
    catch_leak(hand)
    card = job.view("close")[:now].find { |each| each[:id] == "leak" }
    expect(Time.iso8601(card[:until]) - Time.iso8601(job.entries.reverse.find { |each| each.kind == "leak" }.at))
      .to eq 600
  end

  def catch_leak(hand)
    hand.send(:follow, *step(hand)) until job.entries.any? { |entry| entry.kind == "leak" }
  end

  # @return [Array(String, Hash)] the stage and its card, on past those that lead to another stage
  def step(hand, stage = job.state.current)
    card = hand.send(:pick, stage)
    (card[:kind] == "go") ? step(hand, card[:stage]) : [stage, card]
  end
end
