# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "bleed_work"
require_relative "served_job"

# Stops that hold, and the roads that lead out of them.
RSpec.describe "Firm ground", :browser do
  include CylinderWorkByHand
  include BleedWorkByHand
  include WorkedBeside

  def choose_route(label)
    session.find("button", text: "none picked").click
    session.find("[role=option]", text: label, exact_text: true).click
    expect(session).to have_content(label)
  end

  it "puts a stopped job away as referred, by name, and takes it up again when the machine is back" do
    open_page "/jobs/job-tourer-rear/ask"
    expect(session).to have_button("Put on hold and refer", disabled: true)
    name_person "Who decided", "R. Tarn"
    session.fill_in "Where it goes", with: "a workshop with the tool\n"
    session.click_button "Put on hold and refer"
    expect(session).to have_css("h2", text: "On hold, referred")
    expect(session).to have_no_button("Lift this stop")

    session.click_link "Bench"
    expect(session).to have_css("ul[aria-label='Referred'] li", text: "by R. Tarn, to a workshop with the tool")
    expect(session).to have_no_css("ul[aria-label='Open jobs'] li", text: "Ridgeline 900: Rear brake")
    session.find("ul[aria-label='Referred'] a").click
    session.click_button "The machine is back"
    session.fill_in "What was done elsewhere, and by whom", with: "sensor renewed, lamp out\n"
    expect(session).to have_button("Put on hold and refer", disabled: true)
    session.click_button "Every finding"
    pick "ABS", "Lamp clears"
    expect(session).to have_no_content("ABS lamp stays on. Stop")
    session.click_link "Bench"
    expect(session).to have_css("ul[aria-label='Open jobs'] li", text: "Ridgeline 900: Rear brake")
    expect(session).to have_no_css("ul[aria-label='Referred']")
  end

  it "rebuilds a sliding caliper, from the stuck piston to the signed card" do
    open_page "/"
    start_a_second_job "Wicket Puddle 125, Front brake"
    session.click_button "Every finding"
    answer_stops_by_key
    pick "Residual pressure", "Drags always"
    pick "What releases it", "None of them"
    expect(session).to have_content("Proven: caliper or slave piston stuck")
    session.click_button "Choose: Caliper or slave work"
    session.click_link "Go on"

    expect(session).to have_content("Front caliper")
    pick "Fluid that goes in", "DOT 4 glycol"
    until_api { stage_now("choose").key?("fluid") }
    stage_now("choose")["wanting"].each do |line|
      add_entry("choose", "pulled", {line: line, reason: "bought for this job, compared with the old"})
    end
    session.refresh
    session.click_link "Go on to Strip"

    set_up
    expect(session).to have_css("h2", text: "Sliding caliper")
    expect(session).to have_content("Its own line and master")
    strip_by_space
    expect(stage_now("strip")["tray"].map { |cell| cell["part"] }).to include("cal_piston", "cal_seal",
      "slide_pin", "pad")
    session.click_link "Go on to Measure"
    look_over
    session.find("button[type=button]", text: "Seal grooves").click
    grooves = stage_now("measure")["inspection"].find { |look| look["label"] == "Seal grooves" }
    folding("What is seen").click_button grooves["values"].values[1]
    expect(session).to have_content("Clean to bright metal")
    press "1"
    expect(session).to have_no_content("Clean to bright metal")
    # what the record only measured is not proven: judged by eye, and said so
    add_entry("measure", "by_eye", {reason: "no micrometer that size"})
    session.refresh
    expect(session).to have_css("[role=status]", text: /\AReuse\z/)
    compare_inside
    session.click_link "Go on to Build"
    build_by_keys("caliper_sliding")
    finish_build
    session.click_link "Go on to Fit"
    expect(session).to have_css("[data-figure='step']")
    work_beside
    expect(session).to have_content("Signed off")
    card = Net::HTTP.get_response(URI("#{served.url}/api/jobs/#{job_id_now}/card.pdf"))
    expect(card["content-type"]).to eq "application/pdf"
    expect(browser_faults).to be_empty
  end

  it "follows a bulging hose to a new pair, the machine tagged all the way to the cure" do
    open_page "/"
    start_a_second_job "Corvane Ridgeline 900, Front brake"
    session.click_button "Every finding"
    pick "Hoses", "Bulges"
    expect(session).to have_css("h2", text: "Hoses: Bulges. Where?")
    press "1"
    expect(session).to have_content("Hose bulges, shows its braid, or moves in its end.")
    expect(session).to have_content("Stop")
    answer_stops_by_key
    choose_route "Renew the hose"
    expect(session).to have_content("The work goes on; the machine stays.")
    session.click_link "Go on"
    expect(session).to have_content("Do not use the machine.")
    pick "Fluid that goes in", "DOT 4 glycol"
    until_api { stage_now("choose").key?("fluid") }
    expect(stage_now("choose")["wanting"]).to include("hose.hose_left", "hose.hose_right")
    measure_hoses
    stage_now("choose")["wanting"].each do |line|
      add_entry("choose", "pulled", {line: line, reason: "made up to the old length"})
    end
    session.refresh
    session.click_link "Go on to Measure"
    stage_now("measure")["comparison"].each do |row|
      session
        .find("h3", text: row["label"], exact_text: true)
        .ancestor("li")
        .find("label", text: "The same", exact_text: true)
        .click
      until_api { stage_now("measure")["comparison"].find { |each| each["id"] == row["id"] }["value"] == "same" }
    end
    session.click_link "Go on to Strip"
    protect
    expect(session).to have_content("Machine and mechanic are protected.")
    session.click_link "Go on to Fit"
    work_beside(upto: "close")
    session.click_link "Go on to Close"
    expect(session).to have_content("Is it put right?")
    session.click_button "Walking pace: I have checked"
    expect(session).to have_content("no function test yet")
    session.click_button "Understood"
    session.click_button "Hose bulges, shows its braid, or moves in its end: put right"
    expect(session).to have_no_content("Is it put right?")
    expect(session).to have_no_content("Do not use the machine.")
    release
  end

  it "stops the count at the reservoir's last stroke and asks, by hand, by key and without the server", worker: true do
    open_page "/jobs/job-tourer-front/bleed"
    limit = stage_now("bleed")["reservoir"]["strokes_to_uncover"]
    expect(limit).to be_between(1, 10)
    before = figure("strokes")
    wait_until_kept "/", "/api/jobs/job-tourer-front", "/api/jobs/job-tourer-front/stages/bleed"
    served.stop("KILL")
    (limit + 3).times { press :space }
    expect(session).to have_css("[data-figure='strokes']", text: (before + limit).to_s, exact_text: true)
    expect(session).to have_button("Topped up, or port uncovered?", disabled: true)
    press "t", :space
    expect(session).to have_css("[data-figure='strokes']", text: (before + limit + 1).to_s, exact_text: true)
    served.start
    until_api { stage_now("bleed")["total_strokes"] >= before + limit + 1 }
    expect(session).to have_no_content("Not recorded")
  end
end
