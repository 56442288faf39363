# frozen_string_literal: true

require_relative "helper"
require_relative "../support/jobs"

RSpec.describe "Bench view", :browser do
  def send_to(path, body)
    answer = Net::HTTP.post(URI("#{served.url}/api#{path}"), JSON.generate(body), "content-type" => "application/json")
    expect(answer).to be_a(Net::HTTPSuccess), answer.body
  end

  # On a machine of its own.
  def start
    send_to("/machines", {id: "mule", name: "Made up mule", kind: "atv"})
    send_to("/machines/mule/circuits", {id: "mule-front", name: "Front brake", template: "atv_front"})
    send_to("/jobs", {id: "level", circuit_id: "mule-front"})
    "level"
  end

  def stage = session.current_path.split("/").last

  def press(key) = session.find("body").send_keys(key)

  def enter(job)
    open_page "/jobs/#{job}/ask"
    press "v"
    expect(session).to have_css("main[aria-label='Bench view'] h1")
  end

  # The card that the server has, once it is on the screen.
  def card(job)
    shown(job, stage)["now"].first.tap { |first| expect(session).to have_css("h1", text: first["title"]) if first }
  end

  # The place of a good answer.
  def digit(card, route)
    question = card["id"].split(".").last
    wanted = (card["id"] == "route") ? route : JobInMemory::SAFE[question]
    place = card["answers"].index { |answer| answer["entry"]["data"].value?(wanted) } || 0
    %w[1 2 3 4 5 6 7 8 9 0].concat(("b".."t").to_a)[place]
  end

  # A lever without air, to a tenth of a millimetre; it creeps by two tenths.
  def typed(card)
    return "L 2211" if card["field"]["words"]
    return "0.2" unless card["id"] == "pull"
    circuit = Sandbag::Circuit::Assembly.build(
      Sandbag::Circuit::Sheet.new(api("/circuits/mule-front")["sheet"])
    )
    circuit.travel_mm(circuit.pressure_mpa(card["field"]["entry"]["data"]["force"]), air_ml: 0.0).round(1).to_s
  end

  # By the key that the card shows; what is next stands there when this returns.
  def work(job, card, route)
    entries = api("/jobs/#{job}/entries?limit=500")["items"].size
    from = stage
    served.pass_minutes(10) if card["until"]
    case card["kind"]
    when "question" then press digit(card, route)
    when "reading" then session.find("main input").send_keys(typed(card), :enter)
    else press :space
    end
    if card["kind"] == "go"
      expect(session).to have_no_current_path(/#{from}\z/)
    else
      until_api { api("/jobs/#{job}/entries?limit=500")["items"].size > entries }
    end
  end

  it "leads from the first question to the signature by Space, digits and U" do
    job = start
    enter(job)
    80.times do
      break if api("/jobs/#{job}")["signed"]
      route = card(job)
      route = shown(job, stage)["now"].find { |each| each["id"] == "route" } || route
      until session.has_css?("h1", text: route["title"], wait: 0.2)
        press :right
      end
      work(job, route, "set_level")
    end
    expect(session).to have_css("h1", text: "Signed off.")
    expect(api("/jobs/#{job}")["signed"]).to be true
  end

  it "records what is typed and finished by Enter once" do
    open_page "/jobs/job-kart/feel"
    press "v"
    before = api("/jobs/job-kart/entries?limit=500")["items"].size
    session.find("main input").send_keys("0.4", :enter)
    until_api { api("/jobs/job-kart/entries?limit=500")["items"].size > before }
    # whatever else is on its way has been sent
    expect(session).to have_no_css("main input")
    expect(api("/jobs/job-kart/entries?limit=500")["items"].drop(before).map { |entry| entry["kind"] }).to eq ["hold"]
  end

  it "keeps Tab inside it, and gives the rest of the page back when it is left" do
    open_page "/jobs/job-tourer-front/bleed"
    press "v"
    expect(session).to have_css("main[aria-label='Bench view']")
    reached = Array.new(6) do
      session.find("body").send_keys(:tab)
      session.evaluate_script("document.activeElement.closest('main, body').tagName")
    end
    expect(reached.uniq - %w[BODY]).to eq ["MAIN"]
    expect(session.evaluate_script("document.querySelector('header nav').closest('header').inert")).to be true
    press "v"
    expect(session).to have_no_css("main[aria-label='Bench view']")
    expect(session.evaluate_script("document.querySelector('header nav').closest('header').inert")).to be false
  end

  it "takes the last answer back by U, and goes back to the page by V" do
    job = start
    enter(job)
    first = card(job)
    work(job, first, nil)
    expect(card(job)["title"]).not_to eq first["title"]
    press "u"
    expect(session).to have_css("h1", text: first["title"])
    press "v"
    expect(session).to have_no_css("main[aria-label='Bench view']")
    expect(session).to have_css("nav[aria-label='Stages of this job']")
  end

  it "is read at two metres: figures of 64 px, words of 32, nothing to scroll" do
    open_page "/jobs/job-tourer-front/bleed"
    press "v"
    sizes = session.evaluate_script(<<~JS)
      ["h1", "h1 + p", "main section p:last-child", "main > div button"].map((each) =>
        parseFloat(getComputedStyle(document.querySelector(each)).fontSize))
    JS
    expect(sizes[1]).to be >= 64
    expect(sizes.min).to be >= 32
    over = session.evaluate_script(<<~JS)
      [document.querySelector("main").scrollHeight - innerHeight, document.documentElement.scrollWidth - innerWidth]
    JS
    expect(over.max).to be <= 0
    expect(axe_violations).to be_empty
  end
end
