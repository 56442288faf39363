# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "fit_work"
require_relative "close_work"
require_relative "bleed_work"

RSpec.describe "A whole job", :browser do
  include CylinderWorkByHand
  include FitWorkByHand
  include CloseWorkByHand
  include BleedWorkByHand

  it "goes from complaint to signed-off card, with one hand on the keys", worker: true do
    open_page "/"
    start_a_second_job "Corvane Ridgeline 900, Front brake"

    # Ask
    session.fill_in "What the rider feels, in their own words", with: "Soft after the winter\n"
    session.click_button "Every finding"
    pick "Lever feel", "Spongy"
    pick "Pumping up", "Rises and holds"
    pick "What happened lately", "Opened recently"
    expect(session).to have_content("Likely air in the line or far end, or air in or just after the master")
    answer_stops_by_key
    session.click_button "Choose: Bleed"
    session.click_link "Go on"

    # Choose
    expect(session).to have_content("152 mL")
    pick "Fluid that goes in", "DOT 5.1 glycol"
    expect(session).to have_no_link("Go on to Strip")
    expect(session).to have_content("Fluid needed before the work starts")
    tick "Fluid"
    session.click_link "Go on to Strip"
    protect
    session.click_link "Go on to Bleed"

    # Bleed
    expect(session).to have_css("[data-figure='to-go']", text: "11")
    expect(session).to have_no_content("still belong on the bench")
    answer_looks "Before fluid moves"
    stage_now("bleed")["points"].each { |point| bleed_point(point["strokes_to_go"]) }
    expect(session).to have_content("Every point ran clean.")
    answer_looks "Last"
    session.click_link "check the lever in Feel"
    read_and_sign

    job_id = session.current_path.split("/")[2]
    expect(api("/jobs/#{job_id}")).to include("signed" => true)
    card = Net::HTTP.get_response(URI("#{served.url}/api/jobs/#{job_id}/card.pdf"))
    expect(card["content-type"]).to eq "application/pdf"
    session.click_link "Bench"
    expect(session).to have_content("Signed off")
    expect(browser_faults).to be_empty
  end

  it "reseals a master: sinking lever, kit off the shelf, apart, gauged, together, bled, signed" do
    open_page "/"
    start_a_second_job "Corvane Ridgeline 900, Front brake"

    # Ask
    session.click_button "Every finding"
    {
      "Steady hold" => "Sinks slowly",
      "Lever feel" => "Firm",
      "Level" => "In order and steady",
      "Wet at the lever" => "Dry",
      "Pumping up" => "Rises then sinks"
    }.each { |label, value| pick label, value }
    expect(session).to have_content("Likely primary cup bypassing (internal leak)")
    answer_stops_by_key
    session.click_button "Choose: Reseal the master"
    session.click_link "Go on"

    # Choose
    pick "Fluid that goes in", "DOT 4 glycol"
    session.click_button "Take Radial kit, 19"
    3.times do
      groups = session.all(:button, "Tick the other", exact: false, minimum: 1).size
      session.click_button "Tick the other", exact: false, match: :first
      expect(session).to have_button("Tick the other", exact: false, count: groups - 1)
    end
    ["Self-locking pivot nut", "Crush washers", "Fluid", *wanted_tools].each { |line| tick line }
    expect(session.find("[role=checkbox][aria-label='Fluid']")).to have_content(
      "On the bench: DOT 4, bottle A, DOT 4, bottle C"
    )
    session.click_link "Go on to Strip"

    # Strip, Measure, Build
    set_up
    strip_by_space
    session.click_link "Go on to Measure"
    look_over
    gauge(bore: "19.020", piston: "18.960")
    expect(session).to have_css("[role=status]", text: "Reuse")
    session.click_link "Go on to Build"
    build_by_keys("bar_radial")
    finish_build
    expect(job_now["stages"].find { |stage| stage["id"] == "build" }["status"]).to eq "done"
    session.click_link "Go on to Fit"
    fit_by_hand
    session.click_link "Go on to Bleed"

    # Bleed, Feel, Close
    bleed_and_finish_fitting
    read_and_sign
    expect(api("/shelf")["items"].find { |item| item["id"] == "kit-radial-19" }).to include("amount" => 0.0,
      "reserved" => {})
    expect(browser_faults).to be_empty
  end

  # Labels of the tools that nothing is opened without, and that are not on the bench.
  def wanted_tools
    stage_now("choose")["wanting"].filter_map do |line|
      Sandbag::Tables.find("tools", line.delete_prefix("tool."))&.fetch("label")
    end
  end
end
