# frozen_string_literal: true

require_relative "helper"

RSpec.describe "A machine's circuit", :browser do
  before { open_page "/machines/ridgeline" }

  it "is worked out again when a value is typed, in whatever unit" do
    expect(session).to have_content("105 N is the force for 8.0 m/s²")
    session.fill_in "Bore", with: "11/16 in\n"
    expect(session).to have_field("Bore", with: "17.4625")
    expect(session).to have_content("89 N is the force for 8.0 m/s²")
    expect(sheet(api("/circuits/ridgeline-front")["sheet"]).value("master", "bore")).to be_within(1e-9).of(17.4625)
  end

  it "says no by name, keeps what was typed, and stores nothing" do
    session.fill_in "Bore", with: "41\n"
    expect(session).to have_content("Bore of 41 is out of range. Accepted: from 5 to 40 mm.")
    expect(session).to have_field("Bore", with: "41")
    expect(sheet(api("/circuits/ridgeline-front")["sheet"]).value("master", "bore")).to eq 19.0
  end

  it "opens a part from the drawing, by keyboard too" do
    part = session.find("g[role=button][aria-label^='Left caliper']")
    part.send_keys(:enter)
    expect(session).to have_field("Pistons", with: "34 34 30 30")
    session.find("g[role=button][aria-label^='Right hose']").send_keys(:space)
    expect(session).to have_field("Length", with: "850")
  end

  it "draws how a jackshaft is geared, and asks for its teeth before a cylinder is sized by it" do
    post("/machines", {id: "sledge", name: "Sledge", kind: "snowmobile"})
    post("/machines/sledge/circuits", {id: "sledge-one", name: "Brake", template: "snow_jackshaft"})
    open_page "/machines/sledge"
    expect(session).to have_css("g[aria-label='Machine to stop: 2.4 : 1 to the track']")
    post("/jobs", {id: "sled", circuit_id: "sledge-one"})
    answer_stops("sled")
    post("/jobs/sled/entries", {id: "route", stage: "ask", kind: "route", data: {route: "renew_mc"}})
    open_page "/jobs/sled/choose"
    expect(session).to have_css(AtTheBench::NOW, text: "How is the disc's shaft geared to the track?")
    expect(session).to have_button("Unknown: use 2.4, the trade's default", exact: false)
    session.find("section[aria-label='Now'] input").send_keys("39/19", :enter)
    expect(session).to have_css(AtTheBench::NOW, text: "Choose the cylinder")
    open_page "/machines/sledge"
    pick_part "Machine to stop"
    session.fill_in "Disc turns per wheel turn", with: "39/19\n"
    expect(session).to have_css("g[aria-label='Machine to stop: 2.05 : 1 to the track']")
    expect(browser_faults).to be_empty
  end

  it "has its lists worked by key: an arrow changes a closed one, Enter opens one at what is picked" do
    list = session.find("li[data-field='bore'] button[aria-haspopup=listbox]")
    expect(list).to have_content("part marking")
    list.send_keys(:right)
    expect(list).to have_content("measured")
    list.send_keys(:enter)
    expect(session.all("[role=option]", minimum: 6).map(&:text))
      .to eq ["service info", "part marking", "measured", "shop setting", "estimate", "trade default"]
    expect(session).to have_css("[role=option][data-focused]", text: "measured")
    press :down, :enter
    until_closed
    expect(list).to have_content("shop setting")
    expect(api("/circuits/ridgeline-front")["sheet"]["parts"].find { |part| part["id"] == "master" }["values"]["bore"])
      .to include("source" => "shop_setting")
  end

  it "goes back to the default when a value is emptied" do
    session.fill_in "Full stroke", with: "", fill_options: {clear: :backspace}
    press :tab
    expect(session).to have_field("Full stroke", with: "13")
    expect(session.find("li[data-field='stroke']")).to have_content("trade default")
  end
end

RSpec.describe "Choosing a cylinder", :browser do
  it "takes the user's own size, shows what it changes, and wants the rider's agreement for a great change" do
    open_page "/jobs/job-tourer-front/choose"
    session.click_button "Compare other cylinders"
    session.fill_in "Try another, bore × offset", with: "5/8 x 19\n"
    session.click_button "15.875 × 19"
    expect(session).to have_content("needs the rider's agreement")
    expect(session).to have_button("Take it, as agreed", disabled: true)
    session.fill_in "The lever changes by over 25 %. The rider's agreement, in words", with: "tried it, wants it\n"
    session.click_button "Take it, as agreed"
    expect(session).to have_content("Taken")
    expect(shown("job-tourer-front", "choose")["cylinder"]).to eq("bore" => 15.875, "push_offset" => 19.0,
      "agreed" => "tried it, wants it")
  end
end

RSpec.describe "A clutch", :browser do
  it "is judged by its lift" do
    open_page "/jobs/job-clutch/feel"
    session.fill_in "Measured lift (key N)", with: "1,7\n"
    expect(session).to have_css("[role=status]", text: "Bleed again")
    session.fill_in "Measured lift (key N)", with: "2.3\n"
    expect(session).to have_css("[role=status]", text: "Pass")
  end
end

RSpec.describe "A stopped job", :browser do
  it "says do not use, and goes no further" do
    open_page "/jobs/job-tourer-rear/bleed"
    expect(session).to have_current_path("/jobs/job-tourer-rear/ask")
    expect(session).to have_content("ABS lamp stays on. Stop.")
    expect(session).not_to have_link("Bleed")
  end
end
