# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Looking something up", :browser do
  it "opens by its key from any room, follows each letter, and has no key while something is typed" do
    open_page "/jobs/job-tourer-front/bleed"
    press "/"
    expect(session).to have_css("h1", text: "Look up")
    field = session.find_field("Torque, fluid, rubber, a method, a word")
    expect(session.evaluate_script("document.activeElement.tagName")).to eq "INPUT"
    expect(session).to have_css("summary", text: "Torque")
    field.send_keys("7/16")
    expect(field.value).to eq "7/16"
    expect(session).to have_css("h2", text: "Bores that are mistaken for one another")
    expect(session).to have_content("Told apart by a micrometer.")
    field.send_keys(*[:backspace] * 4, "banjo")
    expect(session).to have_content("Trade defaults, not a specification.").and have_content("20 to 30 N·m.")
    expect(session).to have_css("dt", text: "Banjo bolt")
    field.send_keys(*[:backspace] * 5, "zebra")
    expect(session).to have_content("Nothing in the tables has these words.")
    # what was typed is in the address
    session.refresh
    expect(session.find_field("Torque, fluid, rubber, a method, a word").value).to eq "zebra"
    expect(browser_faults).to be_empty
  end

  it "finds a machine, and looks up for one of its circuits with its own record first" do
    open_page "/look-up"
    session.find_field("Torque, fluid, rubber, a method, a word").send_keys("Lofty")
    session.within("section[aria-label='Jobs']") do
      expect(session).to have_content("Lever creeps to the bar under a long pull.")
    end
    session.within("section[aria-label='Machines']") { session.click_link "Look up for Brake" }
    expect(session).to have_content("The record of Brake comes first.")
    session.find_field("Torque, fluid, rubber, a method, a word").set("bore")
    session.within("section[aria-label='This machine']") do
      expect(session).to have_css("dt", text: "Bore").and have_content("part marking").and have_content("14 mm")
    end
    open_page "/machines/lofty"
    session.click_link "Look something up"
    expect(session).to have_content("The record of Brake comes first.")
    expect(axe_violations).to be_empty
    expect(browser_faults).to be_empty
  end
  it "explains a word of the trade where it stands, by a tap; ? lists those of the page" do
    open_page "/jobs/job-cargo-rear/build"
    word = session.first("button[data-word=piston]", minimum: 1)
    word.click
    session.within("[role=dialog][aria-label=Piston]") do
      expect(session).to have_content("Part that carries the cups.")
      expect(session).to have_css("svg[aria-label*='At hand: Piston.']")
    end
    session.send_keys(:escape)
    expect(session).to have_no_css("[role=dialog]")
    press "?"
    session.within("[role=dialog]") do
      expect(session).to have_css("dt", text: "Piston").and have_content("Open edge of a cup; it faces the fluid.")
      expect(session).to have_no_css("dt", text: "Perch")
    end
    expect(browser_faults).to be_empty
  end
end
