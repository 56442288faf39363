# frozen_string_literal: true

require_relative "helper"

RSpec.describe "A whole job", :browser do
  def pick(label, option)
    session.find("[role=radiogroup]", text: /\A#{label}/).find("label", text: option, exact_text: true).click
  end

  it "goes from complaint to signed-off card, with one hand on the keys" do
    open_page "/"
    session.click_button "Start a job on Corvane Ridgeline 900, Front brake"

    # Ask
    expect(session).to have_css("h1", text: "Ask")
    session.fill_in "What the rider feels, in their own words", with: "Soft after the winter\n"
    session.click_button "Every finding"
    pick "Lever feel", "Spongy"
    pick "Pumping up", "Rises and holds"
    pick "What happened lately", "Opened recently"
    expect(session).to have_content("Likely air in the line or far end, or air in or just after the master")
    session.click_button "Take this route: bleed"
    session.click_link "Go on"

    # Choose
    expect(session).to have_content("152 mL")
    pick "Fluid that goes in", "DOT 5.1 glycol"
    session.click_link "Go on to Bleed"

    # Bleed
    expect(session).to have_css("[data-figure='to-go']", text: "10")
    [10, 9].each { |strokes| bleed_point(strokes) }
    expect(session).to have_content("Every point ran clean.")
    session.click_link "check the lever in Feel"

    # Feel: a gauge that types digits and Enter walks through the fields by itself
    read_lever
    expect(session).to have_css("[role=status]", text: "Pass")
    press :escape, "h"
    press "0.5", :enter
    expect(session).to have_content("Holds")
    session.click_link "Go on to Close"

    # Close
    expect(session).to have_button("Sign and release", disabled: true)
    ["No leak", "Level set", "Caps and diaphragm back", "Function test"].each do |gate|
      session.click_button "#{gate}: I have checked"
      expect(session).to have_button("#{gate}: Confirmed")
    end
    session.fill_in "Name", with: "R. Tarn\n"
    session.click_button "Sign and release"
    expect(session).to have_content("Signed off")

    job_id = session.current_path.split("/")[2]
    expect(api("/jobs/#{job_id}")).to include("signed" => true)
    card = Net::HTTP.get_response(URI("#{served.url}/api/jobs/#{job_id}/card.pdf"))
    expect(card["content-type"]).to eq "application/pdf"
    session.click_link "Bench"
    expect(session).to have_content("Signed off")
    expect(browser_faults).to be_empty
  end

  def bleed_point(strokes)
    strokes.times do |count|
      press "t" if figure("to-top-up").zero?
      press :space
      expect(session).to have_css("[data-figure='strokes']", text: (count + 1).to_s)
    end
    press "t", "c", "c", "c", "c"
    expect(session).to have_css("[role=radio][aria-checked=true], label[data-selected]", text: "As fresh")
    expect(session).to have_button("Point finished", disabled: false)
    press "f"
  end

  def read_lever
    front = twin_disc
    expect(session).to have_content("Next: pull")
    press "n"
    [5, 8, 12, 20, 35, 60, 90].each do |force|
      press force.to_s, :enter
      press front.travel_mm(front.pressure_mpa(force), air_ml: 0.02).round(1).to_s, :enter
    end
  end
end
