# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "fit_work"
require_relative "bleed_work"

RSpec.describe "Places on a circuit", :browser do
  include CylinderWorkByHand
  include FitWorkByHand
  include BleedWorkByHand

  it "leads a leak at the left caliper of a twin disc from complaint to card, and opens that joint alone" do
    open_page "/"
    start_a_second_job "Corvane Ridgeline 900, Front brake"
    session.fill_in "What the rider feels, in their own words", with: "Fluid runs down the left fork\n"
    session.click_button "Every finding"
    pick "Wet at a joint", "Drips"
    expect(session).to have_css("h2", text: "Wet at a joint: Drips. Where?")
    # a wrong turn: the master's outlet, taken back
    press "1"
    expect(session).to have_button("Wet at a joint: Drips, Master outlet — take back")
    session.click_button "Wet at a joint: Drips, Master outlet — take back"
    pick "Wet at a joint", "Drips"
    session.find("g[role=button][aria-label='Joint at the left caliper, on the plan']").send_keys(:enter)
    expect(session).to have_button("Wet at a joint: Drips, Joint at the left caliper — take back")
    answer_stops_by_key
    session.click_button "Choose: Remake the joint"
    expect(session).to have_css("h3", text: "Works at: Joint at the left caliper")
    expect(session).to have_content("Opened: Joint at the left caliper.")
    session.click_link "Go on"

    pick "Fluid that goes in", "DOT 4 glycol"
    expect(stage_now("choose")["wanting"]).to be_empty
    session.click_link "Go on to Strip"
    protect
    session.click_link "Go on to Fit"
    expect(fit_now["washers"].map { |stack| stack.values_at("joint", "wanted") }).to eq [["caliper_left", 2]]
    expect(fit_now["torques"].map { |line| line["id"] })
      .to eq %w[banjo.caliper_left nipple.caliper_left nipple.caliper_right]
    fit_by_hand
    session.click_link "Go on to Bleed"
    answer_looks "Before fluid moves"
    stage_now("bleed")["points"].each { |point| bleed_point(point["strokes_to_go"]) }
    answer_looks "Last"
    session.click_link "Finish the fitting"
    fit_by_hand
    session.click_link "Go on to Feel"
    read_and_sign
    expect(job_now).to include("signed" => true)
    expect(browser_faults).to be_empty
  end
end
