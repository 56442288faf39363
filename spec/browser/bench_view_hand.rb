# frozen_string_literal: true

require_relative "helper"
require_relative "../support/jobs"

# A job on a machine of its own, worked in Bench view by the keys that its cards show.
module BenchViewByHand
  KEYS = %w[1 2 3 4 5 6 7 8 9 0].concat(("b".."t").to_a).freeze

  # @param wanted [Hash{String => String}] card => its answer, where it is not the first one or a safe one
  def start(kind, template, wanted)
    @wanted = wanted
    post("/machines", {id: "made-up", name: "Made up", kind: kind})
    post("/machines/made-up/circuits", {id: "one", name: "Brake", template: template})
    post("/jobs", {id: "keys", circuit_id: "one"})
    open_page "/jobs/keys/ask"
    press "v"
    expect(session).to have_css("main[aria-label='Bench view'] h1")
  end

  def stage = session.current_path.split("/").last

  def entries = api("/jobs/keys/entries?limit=500")["items"].size

  def signed? = api("/jobs/keys")["signed"]

  # The cards that the server has; the first is on the screen when this returns.
  def cards
    shown("keys", stage)["now"].tap { |all| expect(session).to have_css("h1", text: all.first["title"]) }
  end

  # The first card, or the repair, which is known; a colour is told once enough has run.
  def picked
    all = cards
    route = all.find { |each| each["id"] == "route" }
    colour = all.find { |each| each["id"] == "colour" }
    later = [route, (colour if colour && enough?)].compact.first
    later ? later.tap { |card| turn_to("h1", all.map { |each| each["title"] }, card["title"]) } : all.first
  end

  def enough?
    bleed = shown("keys", "bleed")
    point = bleed["points"].find { |each| each["id"] == bleed["current"] }
    !point["fresh"] && !(bleed["method"]["by_ml"] ? point["ml_to_go"] : point["strokes_to_go"]).positive?
  end

  # What the record says, else a good answer.
  def digit(card)
    value = @wanted.fetch(card["id"]) { JobInMemory::SAFE[card["id"].split(".").last] }
    recorded = card["detail"]&.delete_prefix("The record says: ")
    KEYS[card["answers"].index { |each| each["label"] == recorded } ||
      card["answers"].index { |each| each["entry"]["data"].value?(value) } || 0]
  end

  # A lever without air, read to a tenth of a millimetre, or by a ruler where bottles hang on it; what is left in the
  # reservoir or the syringe.
  def typed(card)
    case card["id"].split(".").first
    when "pull" then travel(card["field"]["entry"]["data"]["force"]).round(1).to_s
    when "weights" then "0.1 0.2 0.33 L 0.5 L 0.75 L 1 L 1.5 L 2 L 5 L"
    when "hung" then by_ruler(travel(card["field"]["entry"]["data"]["kg"] * GRAVITY)).to_s
    when "run" then shown("keys", "bleed")["reservoir"]["left_ml"].floor(2).to_s
    when "batch" then "L 2211"
    else card["field"]["words"] ? "M. Beck" : "0.3"
    end
  end

  def travel(force)
    @circuit ||= Sandbag::Circuit::Assembly.build(Sandbag::Circuit::Sheet.new(api("/circuits/one")["sheet"]))
    @circuit.travel_mm(@circuit.pressure_mpa(force))
  end

  GRAVITY = 9.80665

  # The half millimetre that a ruler shows.
  def by_ruler(length)
    (length * 2).round / 2.0
  end

  # What is next stands there when this returns.
  def by_its_key(card)
    served.pass_minutes(10) if card["until"]
    before = [entries, stage]
    case card["kind"]
    when "question" then press digit(card)
    when "reading" then session.find("main input").send_keys(typed(card), :enter)
    else press :space
    end
    until_api { stage != before.last || entries >= before.first + entries_of(card) }
  rescue RuntimeError
    raise "nothing came of #{card}"
  end

  # @param most [Integer] cards; @yield each card, before it is worked
  def work_by_keys(most)
    most.times do
      return if signed?
      card = picked
      yield card if block_given?
      by_its_key(card)
    end
  end
end
