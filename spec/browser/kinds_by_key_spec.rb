# frozen_string_literal: true

require_relative "helper"
require_relative "../support/jobs"

# A whole bleed of a kart, a snowmobile and a bicycle in Bench view, by Space, digits, arrows and U, with a wrong turn
# of that trade.
RSpec.describe "Each kind by keys", :browser do
  keys = %w[1 2 3 4 5 6 7 8 9 0].concat(("b".."t").to_a).freeze
  wanted = {"route" => "bleed", "colour" => "as_fresh", "means" => "gauge"}.freeze

  def start(kind, template)
    post("/machines", {id: "made-up", name: "Made up", kind: kind})
    post("/machines/made-up/circuits", {id: "one", name: "Brake", template: template})
    post("/jobs", {id: "keys", circuit_id: "one"})
    open_page "/jobs/keys/ask"
    press "v"
    expect(session).to have_css("main[aria-label='Bench view'] h1")
  end

  def stage = session.current_path.split("/").last

  def entries = api("/jobs/keys/entries?limit=500")["items"].size

  # The cards that the server has; the first is on the screen when this returns.
  def cards
    shown("keys", stage)["now"].tap { |all| expect(session).to have_css("h1", text: all.first["title"]) }
  end

  # Arrows go on to a card further back.
  def turn_to(card)
    press :right until session.has_css?("h1", text: card["title"], wait: 0.2)
  end

  # A colour is told once enough has run; the route is known.
  def picked
    all = cards
    route = all.find { |each| each["id"] == "route" }
    colour = all.find { |each| each["id"] == "colour" }
    later = [route, (colour if colour && enough?)].compact.first
    later ? later.tap { |card| turn_to(card) } : all.first
  end

  def enough?
    bleed = shown("keys", "bleed")
    point = bleed["points"].find { |each| each["id"] == bleed["current"] }
    !point["fresh"] && !(bleed["method"]["by_ml"] ? point["ml_to_go"] : point["strokes_to_go"]).positive?
  end

  define_method(:digit) do |card|
    value = wanted.fetch(card["id"]) { JobInMemory::SAFE[card["id"].split(".").last] }
    recorded = card["detail"]&.delete_prefix("The record says: ")
    place = card["answers"].index { |each| each["label"] == recorded } ||
      card["answers"].index { |each| each["entry"]["data"].value?(value) } || 0
    keys[place]
  end

  # A lever without air, read to a tenth of a millimetre; what is left in the reservoir or the syringe.
  def typed(card)
    case card["id"].split(".").first
    when "pull" then travel(card["field"]["entry"]["data"]["force"])
    when "run" then shown("keys", "bleed")["reservoir"]["left_ml"].floor(2).to_s
    when "hold" then "0.3"
    when "batch" then "L 2211"
    else "M. Beck"
    end
  end

  def travel(force)
    @circuit ||= Sandbag::Circuit::Assembly.build(Sandbag::Circuit::Sheet.new(api("/circuits/one")["sheet"]))
    @circuit.travel_mm(@circuit.pressure_mpa(force)).round(1).to_s
  end

  def by_its_key(card)
    served.pass_minutes(10) if card["until"]
    before = [entries, stage]
    case card["kind"]
    when "question" then press digit(card)
    when "reading" then session.find("main input").send_keys(typed(card), :enter)
    else press :space
    end
    until_api { [entries, stage] != before }
  end

  # @yield each card, before it is worked
  def work(most: 180)
    most.times do
      return if api("/jobs/keys")["signed"]
      card = picked
      yield card
      by_its_key(card)
    end
  end

  {
    "kart" => ["kart", "kart_rear", "check.nipple_sound", "Worn or seized", "renew one with a worn thread"],
    "snowmobile" => ["snowmobile", "snow_jackshaft", "check.reservoir_clean", "Sediment in it", "brush it out"],
    "bicycle" => ["bicycle", "bike_rear", "check.rim_full", "One stood low", "low port shuts air in"]
  }.each do |name, (kind, template, at, wrong, says)|
    it "bleeds a #{name}, takes a wrong turn back, and signs" do
      start(kind, template)
      turned = false
      work do |card|
        next unless card["id"] == at && !turned
        turned = true
        press keys[card["answers"].index { |each| each["label"] == wrong }]
        expect(session).to have_css("main", text: /#{says}/i)
        press "u"
        expect(session).to have_css("h1", text: card["title"])
      end
      expect(turned).to be true
      expect(session).to have_css("h1", text: "Signed off.")
      expect(browser_faults).to be_empty
    end
  end
end
