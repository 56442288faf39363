# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Choose and Shelf", :browser do
  def ticked?(line)
    session.find("[role=checkbox][aria-label='#{line}']")["aria-checked"] == "true"
  end

  it "catches the twin, takes the right kit for a named reason, and lays the bench out" do
    open_page "/jobs/job-scooter/choose"
    twin = session.find("li", text: "Scooter kit, 13")
    expect(twin).to have_content("Not for this").and have_content("0.30 mm apart")
    expect(twin).to have_css("svg[aria-label*='30 hundredths of a millimetre too large']")
    expect(session).to have_css("[role=checkbox][aria-label='Seal kit'][aria-checked=false]")

    right = session.find("li", text: "Scooter kit, 1/2")
    expect(right).to have_content("To be bought apart: Dust boot")
    right.fill_in "Looked at it: why it is the right one", with: "1/2 cast on the body, spring in the drawing\n"
    expect(session).to have_content("On the bench: Scooter kit, 1/2")
    expect(api("/shelf")["items"].find { |item| item["id"] == "kit-scooter-half" }["reserved"]).to eq(
      "job-scooter" => 1.0
    )

    tick "Crush washers"
    session.click_button "Use instead: Cross-head driver", exact: false, match: :first
    ["Small-hole or bore gauge", "Micrometer 0 to 25 mm"].each { |tool| tick tool }
    expect(session).to have_link("Go on to")
    expect(api("/jobs/job-scooter")["stages"].find { |stage| stage["id"] == "choose" }["status"]).to eq "done"

    # taken off again, the shelf has it back
    session.find("[role=checkbox][aria-label='Crush washers']").click
    expect(session).to have_css("[role=checkbox][aria-label='Crush washers'][aria-checked=false]")
    expect(api("/shelf")["items"].find { |item| item["id"] == "washers-10" }["reserved"]).to be_empty
  end

  def on_the_bench
    shown("job-scooter", "choose")["pulled"].map { |pulled| pulled["line"] }
  end

  it "takes what needs no thought with one tap, and leaves parts and missing tools to be looked at" do
    open_page "/jobs/job-scooter/choose"
    lines = api("/jobs/job-scooter/supplies")["lines"].group_by { |line| line["group"] }
    before = on_the_bench
    consumables = folding("Consumables")
    consumables.click_button "Tick the other #{lines["consumables"].size}"
    expect(consumables).to have_css("[aria-checked=true]", count: lines["consumables"].size).and have_no_button(
      "Tick the other",
      exact: false
    )
    tools = folding("Tools")
    tools.click_button "Tick the other", exact: false
    missing = lines["tools"].select { |line| line["short"].positive? }
    expect(missing).not_to be_empty
    expect(tools).to have_no_button("Tick the other", exact: false)
    sure = (lines["tools"] - missing).reject { |line| line["needed"] }
    until_api { (sure.map { |line| line["id"] } - on_the_bench).empty? }
    missing.each { |line| expect(ticked?(line["label"])).to be false }
    expect(folding("Parts")).to have_no_button("Tick the other", exact: false)
    expect(on_the_bench).to match_array before | (lines["consumables"] + sure).map { |line| line["id"] }
  end

  it "says no in the other tab when the last one is gone, and keeps what was typed" do
    open_page "/jobs/job-scooter/choose"
    first = session.find("li", text: "Scooter kit, 1/2")
    other = {id: "other", stage: "choose", kind: "pulled",
             data: {line: "kit", item: "kit-scooter-half", reason: "the other tab was quicker"}}
    post("/jobs/#{second_job}/entries", other)
    first.fill_in "Looked at it: why it is the right one", with: "cast on the body\n"
    expect(session).to have_content("0 free")
    expect(shown("job-scooter", "choose")["pulled"].map { |pulled| pulled["line"] }).not_to include("kit")
  end

  def second_job
    post("/jobs", {id: "second", circuit_id: "puddle-front", beside: true})
    answer_stops("second")
    post("/jobs/second/entries", {id: "r", stage: "ask", kind: "route", data: {route: "reseal_mc"}})
    post("/jobs/second/entries", {id: "f", stage: "choose", kind: "fluid", data: {fluid: "dot4", stamped: "dot4"}})
    "second"
  end

  it "reads water off the simulated pen and moves the verdict with it" do
    open_page "/jobs/job-scooter/choose"
    expect(session).to have_content("by estimate")
    unfold "The fluid in it now"
    session.click_button "Read the simulated pen"
    expect(session).to have_content("% of water read")
    session.fill_in "Water as the pen reads it", with: "0,8\n"
    expect(session).to have_content("0.8 % of water read: boils at 202 °C; fresh at 230 °C")
    session.fill_in "Water as the pen reads it", with: "wet\n"
    expect(session).to have_content("is not a number")
  end

  it "changes the quantity with the method and says which bottles" do
    open_page "/jobs/job-scooter/choose"
    unfold "How much fluid"
    before = session.find("[aria-label='What the fluid is for']").text
    session.find("label", text: "Hand vacuum pump", exact_text: true).click
    expect(session).to have_content("Hose, jar and priming: hand vacuum pump")
    expect(session.find("[aria-label='What the fluid is for']").text).not_to eq before
    expect(session).to have_content("DOT 4, bottle A, opened")
  end

  it "shelves a kit by what is on the bag, fraction and all, and refuses an empty one in words" do
    open_page "/shelf"
    session.find("label", text: /Seal kits/).click
    session.click_button "Add: Seal kit"
    session.fill_in "Name", with: "Kit off the market, 11/16\n"
    session.fill_in "Bore", with: "11/16\n"
    pick_in "Construction", "Radial bar master"
    pick_in "Spring variant", "fitted"
    session.click_button "Put it on the shelf"
    expect(session).to have_content("an empty kit")
    session.click_button "Primary cup"
    session.click_button "Secondary cup"
    session.click_button "Put it on the shelf"
    expect(session).to have_content("Kit off the market, 11/16")
    expect(session).to have_content("Bore 17.4625 mm")
    expect(session).to have_content("Primary cup (unmarked)")
  end

  def pick_in(label, option)
    session.all("label, span", text: label, exact_text: true).first.find(:xpath, "..").find("button").click
    session.find("[role=option]", text: option, exact_text: true).click
  end

  it "opens, measures and throws away a bottle, and refuses less than is promised" do
    open_page "/shelf"
    bottle = session.find("li", text: "DOT 4, bottle C")
    bottle.click_button "Open today"
    expect(bottle).to have_content("Opened")
    bottle.click_button "Set what is left"
    bottle.fill_in "Left in DOT 4, bottle C", with: "200\n"
    expect(bottle).to have_content("200 mL of 250 mL")
    bottle.click_button "Throw away"
    bottle.fill_in "Thrown away because", with: "left uncapped\n"
    expect(session).not_to have_content("DOT 4, bottle C")
    promised = session.find("li", text: "DOT 4, bottle A")
    promised.click_button "Set what is left"
    promised.fill_in "Left in DOT 4, bottle A", with: "20\n"
    expect(promised).to have_content("are promised to job-scooter")
    expect(browser_faults.reject { |fault| fault.include?("422") }).to be_empty
  end
end
