# frozen_string_literal: true

require_relative "bench_view_hand"

RSpec.describe "Bench view", :browser do
  include BenchViewByHand

  it "leads from the first question to the signature by Space, digits and U" do
    start("atv", "atv_front", {"route" => "set_level"})
    work_by_keys(80)
    expect(session).to have_css("h1", text: "Signed off.")
    expect(signed?).to be true
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

  it "puts a part in by the right answer to which way it faces, and by no other" do
    open_page "/jobs/job-cargo-rear/build"
    press "v"
    expect(session).to have_css("h1", text: "Put in: piston, secondary cup, primary cup")
    answers = shown("job-cargo-rear", "build")["now"].first["answers"]
    wrong, right = answers.partition { |each| each["following"].nil? }.map { |each| BenchViewByHand::KEYS[answers.index(each.first)] }
    steps = -> { api("/jobs/job-cargo-rear/entries?limit=500")["items"].count { |each| each["kind"] == "step" } }
    before = steps.call
    press wrong
    expect(session).to have_button("Undo: facing")
    expect(session).to have_css("h1", text: "Put in: piston, secondary cup, primary cup")
    expect(steps.call).to eq before
    press right
    expect(session).to have_no_css("h1", text: "Put in: piston, secondary cup, primary cup")
    until_api { steps.call == before + 1 }
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
    start("atv", "atv_front", {})
    first = cards.first
    by_its_key(first)
    expect(cards.first["title"]).not_to eq first["title"]
    press "u"
    expect(session).to have_css("h1", text: first["title"])
    press "v"
    expect(session).to have_no_css("main[aria-label='Bench view']")
    expect(session).to have_css("nav[aria-label='Stages of this job']")
  end

  it "takes all the answers of a round back by one U" do
    open_page "/jobs/job-scooter/choose"
    press "v"
    cards = -> { shown("job-scooter", "choose")["now"] }
    first = cards.call
    round = first.find { |card| card["kind"] == "round" }
    turn_to("h1", first.map { |card| card["title"] }, round["title"])
    press :space
    until_api { cards.call.none? { |card| card["id"] == round["id"] } }
    expect(session).to have_button("Undo: all #{round["all"]["looks"].size}")
    press "u"
    until_api { cards.call.map { |card| card["id"] } == first.map { |card| card["id"] } }
    expect(session).to have_no_button("Undo: all #{round["all"]["looks"].size}")
  end

  it "writes several strokes down by one digit, and takes them back by one U" do
    start("kart", "kart_rear", {"route" => "bleed", "method" => "check_valve"})
    strokes = -> { shown("keys", "bleed")["total_strokes"] }
    work_by_keys(60) { |card| break if card["id"] == "beat.slow_stroke" }
    offered = shown("keys", "bleed")["now"].first["all"]["label"]
    expect(session).to have_button(offered)
    press "1"
    until_api { strokes.call == offered.to_i }
    expect(session).to have_css("h1", text: "Top up")
    press "u"
    until_api { strokes.call.zero? }
    expect(session).to have_css("h1", text: "Slow stroke")
    press :space
    until_api { strokes.call == 1 }
    press "v"
    expect(session).to have_css("[data-figure='strokes']", text: "1", exact_text: true)
    session.click_button "#{offered.to_i - 1} strokes done"
    until_api { strokes.call == offered.to_i }
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
