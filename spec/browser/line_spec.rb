# frozen_string_literal: true

require_relative "helper"

RSpec.describe "The line before the first stroke", :browser do
  it "says which bleeding method carries the air out, redraws it on what is supposed, and takes another" do
    circuit = api("/circuits/puddle-front")
    expect(circuit["sheet"]["parts"].find { |part| part["id"] == "hose" }["values"]).to have_key("high_spot")
    open_page "/jobs/job-scooter/bleed"
    expect(session).to have_css("h2", text: "Will it move the air?")
    expect(session).to have_css("svg[aria-label*='Front hose, high spot']")
    session.click_button "Gravity fill"
    expect(session).to have_content("Air stays at: Front hose, high spot.")
    expect(session).to have_css("svg[aria-label*='air stays at Front hose, high spot']")
    session.click_button "High loop tied down"
    expect(session).to have_no_css("details svg[aria-label*='high spot']")
    expect(session).to have_content("It carries the air of this line out.")

    session.click_button "Hand vacuum pump"
    session.click_button "Bleed this way"
    until_api { shown("job-scooter", "choose")["method"] == "hand_vacuum" }
    session.find("summary", text: "The figures").click
    expect(session).to have_css("table[aria-label='The figures']", text: "Slug with the flow")
    session.find("summary", text: "Not used here").click
    expect(session).to have_content("Two syringes: Not on this kind of circuit.")
    expect(axe_violations).to be_empty
    expect(browser_faults).to be_empty
  end
end
