# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "fit_work"
require_relative "bleed_work"
require_relative "served_job"

RSpec.describe "Places on a circuit", :browser do
  include CylinderWorkByHand
  include FitWorkByHand
  include BleedWorkByHand
  include WorkedBeside

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
    expect(stage_now("choose")["wanting"]).to eq %w[washers fluid]
    bring_all
    session.refresh
    session.click_link "Go on to Strip"
    protect
    session.click_link "Go on to Fit"
    expect(fit_now["washers"].map { |stack| stack.values_at("joint", "wanted") }).to eq [["caliper_left", 2]]
    expect(fit_now["torques"].map { |line| line["id"] })
      .to eq %w[banjo.caliper_left nipple.caliper_left nipple.caliper_right]
    work_beside(upto: "bleed")
    session.click_link "Go on to Bleed"
    answer_looks "Before fluid moves"
    stage_now("bleed")["points"].each do |point|
      expect(session).to have_css("svg[aria-label$='at hand: #{point["label"]}']")
      bleed_point(point["strokes_to_go"])
    end
    work_beside
    expect(session).to have_content("Signed off")
    expect(browser_faults).to be_empty
  end

  it "takes two calipers apart on one job, uses one again and renews the other" do
    open_page "/"
    start_a_second_job "Corvane Ridgeline 900, Front brake"
    answer_stops_by_key
    session.find("button", text: "none picked").click
    session.find("[role=option]", text: "Caliper or slave work").click
    expect(session).to have_css("h3", text: "Where is the work?")
    session.click_button "Right caliper"
    expect(session).to have_css("h3", text: "Works at: Right caliper")
    session.click_button "Left caliper"
    expect(session).to have_css("h3", text: "Works at: Left caliper, Right caliper")
    session.click_link "Go on"

    expect(session).to have_css("summary, h2", text: "Kit: Right caliper")
    pick "Fluid that goes in", "DOT 4 glycol"
    until_api { stage_now("choose").key?("fluid") }
    bring_all
    session.click_link "Go on to Strip"
    set_up
    expect(session).to have_css("svg[aria-label^='Left caliper cut open']")
    strip_by_space
    session.click_link "Go on to Measure"
    look_over("cal_groove@caliper_right": "damaged")
    gauge_each
    expect(session).to have_css("[role=status]", text: "Right caliper: Renew the caliper")
    session.click_button "New one in place of: Right caliper"
    expect(session).to have_content("Right caliper: new one goes on")
    compare_inside
    expect(stage_now("choose")["wanting"]).to eq ["far_unit@caliper_right"]
    bring_all
    session.click_link "Go on to Build"
    build_by_keys("caliper_opposed")
    finish_build
    expect(stage_now("build")["steps"].map { |step| step["id"] }).to all end_with("@caliper_left")
    session.click_link "Go on to Fit"
    expect(session).to have_css("[data-figure='step']")
    work_beside
    expect(session).to have_content("Signed off")
    expect(browser_faults).to be_empty
  end

  it "adds a hand master to a foot brake, from the order to both controls and a circuit of its own" do
    post("/machines/scree/circuits", {id: "spare-rear", name: "Spare rear", template: "road_rear"})
    post("/jobs", {id: "walk", circuit_id: "spare-rear"})
    open_page "/jobs/walk/ask"
    answer_stops_by_key
    session.find("button", text: "none picked").click
    session.find("[role=option]", text: "Add a hand master").click
    expect(session).to have_content("Opened: Master outlet, Hose to the foot master, lower end.")
    session.click_link "Go on"
    add_entry("choose", "fluid", {fluid: "dot4", stamped: "dot4"})
    expect(stage_now("choose")["wanting"]).to include("cylinder", "hose.added_feed")
    bring_all
    stage_now("measure")["comparison"].each { |row| add_entry("measure", "compared", {row: row["id"], value: "same"}) }
    session.refresh
    session.click_link "Go on to Strip"
    protect
    session.click_link "Go on to Fit"
    expect(session).to have_content("Foot lever beside it")
    expect(fit_now["torques"].map { |line| line["id"] }).to include("clamp", "banjo.master", "comp_nut.added_feed")
    work_beside(upto: "close")
    session.click_link "Go on to Close"
    expect(session).to have_css("li[aria-label='Both controls tested']")
    release
    expect(job_now).to include("signed" => true)
    open_page "/machines/scree"
    session.find("label", text: "Spare rear, by hand", match: :first).click
    foot_in_drawing = session.find("g[aria-label='Spare rear: Spare rear same far end'], " \
      "g[aria-label='Spare rear same far end']")
    expect(session).to have_content("Two controls work this far end.")
    foot_in_drawing.send_keys(:enter)
    expect(session).to have_css("h2", text: /\ASpare rear\z/)
    expect(browser_faults).to be_empty
  end

  # Whatever is still to be fetched, bought for this job.
  def bring_all
    measure_hoses
    stage_now("choose")["wanting"].each do |line|
      add_entry("choose", "pulled", {line: line, reason: "bought for this job, compared with the old"})
    end
    session.refresh
  end

  # Sound pistons, each a little under its own size.
  def gauge_each
    stage_now("measure")["places"].each do |place|
      size = place["id"][/@(\d+)@/, 1].to_i
      session.fill_in place["label"], exact: true, with: "#{size - 0.02}\n"
      expect(session).to have_no_field(place["label"], exact: true)
    end
  end
end
