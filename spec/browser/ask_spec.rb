# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Asking", :browser do
  before { open_page "/jobs/job-clutch/ask" }

  def ranks
    session.all("ol[aria-label='Causes, likeliest first'] summary").map(&:text)
  end

  it "offers the next best test with what each answer would mean, and ranks again at a tap" do
    before = ranks
    test = session.first("section h3").text
    session.first("section button", text: /→/).click
    expect(session).not_to have_css("section h3", text: test, exact_text: true)
    expect(ranks).not_to eq before
  end

  it "opens a rank to what spoke for it and against it" do
    session.find("summary", text: "Primary cup bypassing (internal leak)").click
    expect(session).to have_content("Steady hold: Sinks slowly, strongly for")
    session.find("summary", text: "Air in the line or far end").click
    expect(session).to have_content("Steady hold: Sinks slowly, against")
  end

  it "takes a finding back and has the former ranking again" do
    before = ranks
    session.click_button "Every finding"
    session.find("[role=radiogroup]", text: /\ABoot/).find("label", text: "Packed with dirt").click
    expect(session).to have_button("Boot: Packed with dirt — take back")
    session.click_button "Boot: Packed with dirt — take back"
    expect(session).not_to have_button("Boot: Packed with dirt — take back")
    expect(ranks).to eq before
  end

  it "says when the mechanic's route is not the one the findings point to, and lets it be" do
    session.click_button "Every finding"
    session.find("[role=radiogroup]", text: /\AWet at the lever/).find("label", text: "Drips").click
    expect(session).to have_content("Proven: outer seal leaks")
    session.find("button", text: "none picked").click
    session.find("[role=option]", text: "Flush", exact_text: true).click
    expect(session).to have_content("The findings point to: reseal the master.")
    expect(session).to have_link("Go on")
  end

  it "stops when a finding raises a flag, and goes on when a lead lifts it with a reason" do
    session.click_button "Every finding"
    session.find("[role=radiogroup]", text: /\AHoses/).find("label", text: "Bulges").click
    expect(session).to have_content("Hose bulges, shows its braid")
    expect(session).not_to have_link("Bleed")
    expect(session).to have_button("Lift this stop", disabled: true)
    name_person "Lead mechanic", "R. Tarn"
    session.fill_in "What was done about it", with: "new hose on the bench\n"
    session.click_button "Lift this stop"
    expect(session).to have_content("Lifted by R. Tarn: new hose on the bench")
    expect(session).to have_link("Bleed")
  end

  it "stops for every danger that can be reported" do
    api("/knowledge")["red_flags"].select { |flag| flag["reported"] }.each_with_index do |flag, index|
      session.click_button "Report a danger" if index.zero?
      label = flag["of_part"] ? "#{flag["label"]}: " : flag["label"]
      session.click_button flag["of_part"] ? "#{label}Master" : label
      expect(session).to have_content("#{flag["of_part"] ? "#{label}master" : label}. #{flag["does"]}")
    end
    expect(session).not_to have_link("Choose")
  end

  it "goes through the intake by digit keys, confirming what the record knows" do
    open_page "/"
    start_a_second_job "Corvane Ridgeline 900, Front brake"
    expect(session).to have_content("Have you done this kind of job before?")
    expect(session).to have_content("before anything is opened")
    before = left_in("Intake")
    press "1"
    expect(session).to have_content("Is ABS fitted?")
    expect(session).to have_content("The record says: None")
    expect(folding("Intake")).to have_content("#{before - 1} to do")
    press "1"
    expect(session).to have_content("Linked or combined brakes?")
    expect(folding("Intake")).to have_content("#{before - 2} to do")
    session.click_button "Is ABS fitted? None"
    folding("Intake").click_button "Fitted", exact: true
    expect(session).to have_content("Is ABS fitted? Fitted")
    expect(session).to have_content("The intake and the machine's record say different things about ABS.")
    expect(session).to have_no_button("Lift this stop")
    session.click_button "Is ABS fitted? Fitted"
    folding("Intake").click_button "None", exact: true
    expect(session).to have_no_content("say different things about ABS")
  end

  it "shows time and money for the route, and the wait on the Bench" do
    session.find("button", text: "none picked").click
    session.find("[role=option]", text: "Reseal the master").click
    expect(session).to have_css("table[aria-label='What the route costs']", text: "Labour, 180 min")
    expect(session).to have_content("offer the unit, the owner decides")
    session.click_button "Foamy fluid to settle, 15 min"
    expect(session).to have_content("Foamy fluid to settle until")
    session.click_link "Bench"
    expect(session).to have_content("180 min planned").and have_content("Foamy fluid to settle until")
  end

  it "takes a note once, though Enter is followed by leaving the field" do
    session.fill_in "Add a note", with: "bar end scraped\n"
    press :tab
    expect(session).to have_content("bar end scraped")
    expect(session).to have_field("Add a note", with: "")
    expect(shown("job-clutch", "ask")["notes"]).to eq ["bar end scraped"]
  end

  it "shows what was done to the circuit before" do
    open_page "/"
    start_a_second_job "Oxholm Packmule, Front brake"
    expect(session).to have_css("h2", text: "This circuit before")
    expect(session).to have_content("Lever to the bar on the long hill. Maker's mineral oil")
  end
end
