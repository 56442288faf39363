# frozen_string_literal: true

require_relative "helper"
require_relative "../support/jobs"

# Whole jobs by the first card, tapped, with what a mechanic has.
module ByTouch
  NOW_CARD = "section[aria-label='Now']"
  # What is typed, by the start of a card's id.
  TYPED = {"hold" => "0.5", "batch" => "L 4471", "weights" => "0.1 0.2 0.33 L 0.5 L 1.5 L 2 L 5 L 10 kg"}.freeze

  def start(kind, template, means)
    @means = means
    post("/machines", {id: "made-up", name: "Made up", kind: kind})
    post("/machines/made-up/circuits", {id: "made-up-one", name: "Brake", template: template})
    post("/jobs", {id: "hand", circuit_id: "made-up-one"})
    open_page "/jobs/hand/ask"
  end

  def stage = session.current_path.split("/").last

  def send_entry(at, kind, data)
    post("/jobs/hand/entries", {id: SecureRandom.uuid, stage: at, kind: kind, data: data})
  end

  def entries = api("/jobs/hand/entries?limit=500")["items"].size

  # Until the signature, or so many cards.
  def work(most: 150)
    most.times do
      return if api("/jobs/hand")["signed"]
      at = stage
      card = shown("hand", at)["now"].first or raise "#{at}: no card"
      served.pass_minutes(10) if card["until"]
      before = entries
      follow(card, at)
      until_api { (card["kind"] == "go") ? stage != at : entries >= before + entries_of(card) }
    end
  end

  def follow(card, at)
    return beside(card, at) if (at == "bleed" && !%w[go round].include?(card["kind"])) ||
      card["id"].start_with?("fetch.", "finding.", "route")
    catch_up
    expect(session).to have_css("#{NOW_CARD} h2", text: card["title"], exact_text: true)
    case card["kind"]
    when "question" then tap(answer(card))
    when "reading" then session.find("#{NOW_CARD} input").send_keys(typed(card), :enter)
    when "here" then in_its_part(card)
    when "step" then tap(card["act"]["label"])
    when "round" then tap(card["all"]["label"])
    else session.find("#{NOW_CARD} button:not([data-word])", match: :first).click
    end
  end

  def tap(label)
    session.find("#{NOW_CARD} button:not([data-word])", text: label, match: :first).click
  end

  def answer(card)
    recorded = card["detail"]&.delete_prefix("The record says: ")
    wanted = {"means" => @means, "ruler" => "0.5 mm"}.fetch(card["id"]) { safe(card) }
    labels = card["answers"].map { |each| each["label"] }
    labels.find { |label| [recorded, wanted].include?(label) } || labels.first
  end

  def safe(card)
    value = JobInMemory::SAFE[card["id"].split(".").last]
    card["answers"].find { |each| each["entry"]["data"].value?(value) }&.fetch("label")
  end

  # Strokes, the pull list and the route have panels of their own, which other specs work.
  def beside(card, at)
    card = {"act" => {"entry" => {"kind" => "route", "data" => {"route" => "bleed"}}}} if at == "ask"
    card = ready_to_finish(card) if at == "bleed"
    entry = card.dig("act", "entry") || card["answers"]&.first&.fetch("entry") || run
    send_entry(at, entry["kind"], entry["data"])
    @is_behind = true
  end

  # The page shows what was written beside it.
  def catch_up
    return unless @is_behind
    session.refresh
    expect(session).to have_css("h1")
    @is_behind = false
  end

  # What runs is called fresh once enough has run.
  def ready_to_finish(card)
    bleed = shown("hand", "bleed")
    point = bleed["points"].find { |each| each["id"] == bleed["current"] }
    colour = bleed["now"].find { |each| each["id"] == "colour" }
    to_go = bleed["method"]["by_ml"] ? point["ml_to_go"] : point["strokes_to_go"]
    return card if colour.nil? || point["fresh"] || to_go.positive?
    colour.merge("answers" => colour["answers"].select { |each| each["entry"]["data"]["colour"] == "as_fresh" })
  end

  # As much as is there.
  def run
    {"kind" => "run", "data" => {ml: shown("hand", "bleed")["reservoir"]["left_ml"].floor(2)}}
  end

  # By a lever without air.
  def typed(card)
    kind = card["id"].split(".").first
    return TYPED.fetch(kind) { "M. Beck" } if card["field"]["words"] || kind == "hold"
    rounded(card["field"]["entry"]["data"]["kg"] * 9.80665)
  end

  def rounded(force)
    @circuit ||= Sandbag::Circuit::Assembly.build(Sandbag::Circuit::Sheet.new(api("/circuits/made-up-one")["sheet"]))
    ((@circuit.travel_mm(@circuit.pressure_mpa(force)) / 0.5).round * 0.5).to_s
  end

  def in_its_part(card)
    case card["id"]
    when "squeeze"
      hand = shown("hand", "feel")["hand"]
      light, firm = hand.values_at("light_n", "firm_n").map { |force| rounded(force) }
      session.fill_in "squeeze_gap", with: (firm.to_f * 2.5).round.to_s if hand["gap_wanted"]
      session.fill_in "squeeze_light", with: light
      session.fill_in "squeeze_firm", with: "#{firm}\n"
      session.click_button "Record these readings"
    when "pump"
      5.times { |pull| session.fill_in "pull-#{pull + 1}", with: "20\n" }
      session.click_button "Record"
    else raise "#{card["id"]}: #{card["title"]}"
    end
  end
end

RSpec.describe "By touch, without a gauge", :browser, all_parts: false do
  include ByTouch

  it "bleeds a kart's brake on a phone, and judges its pedal by hand" do
    screen_of(390, 844)
    start("kart", "kart_rear", "Hands and a ruler only")
    work
    expect(api("/jobs/hand")["signed"]).to be true
    expect(session.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
    expect(session).to have_css("h1", text: "Close")
  end

  it "bleeds a bicycle's brake, and judges its lever by bottles of water" do
    start("bicycle", "bike_front", "Bottles or weights to hang on it")
    work
    expect(api("/jobs/hand")["signed"]).to be true
    expect(shown("hand", "feel")["verdict_id"]).to eq "pass"
  end

  it "bleeds a clutch, and releases it by the wheel and its bite" do
    start("road", "road_clutch", nil)
    work
    expect(api("/jobs/hand")["signed"]).to be true
    expect(shown("hand", "feel").slice("by_hand", "lift")).to eq("by_hand" => true)
  end
end
