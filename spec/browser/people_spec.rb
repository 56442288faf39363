# frozen_string_literal: true

require_relative "helper"

RSpec.describe "The shop's people", :browser do
  it "are named once under Shop, picked from then on, and stand on what they enter" do
    open_page "/shop"
    session.find("ul[aria-label=People] + div").fill_in "Name", with: "K. Ling\n"
    name_person "Role", "Learner"
    session.click_button "Add"
    expect(session).to have_css("ul[aria-label=People] li", text: "K. Ling")

    open_page "/jobs/job-kart/close"
    session.click_button "Who works here?"
    session.find("[role=option]", text: "K. Ling").click
    until_closed
    session.find("span", text: "Name", exact_text: true).find(:xpath, "following-sibling::button").click
    expect(session.all("[role=option]").map(&:text)).to eq ["R. Tarn", "M. Beck"]
    session.find("[role=option]", text: "M. Beck").click
    until_closed
    session.click_button "First watch: dry"
    expect(session).to have_css("[role=timer]")
    newest = api("/jobs/job-kart/entries")["items"].last
    expect(newest).to include("kind" => "leak", "by" => "K. Ling")
    expect(browser_faults).to be_empty
  end
end
