# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "close_work"

RSpec.describe "Close", :browser do
  include CylinderWorkByHand
  include CloseWorkByHand

  before { open_page "/jobs/job-kart/close" }

  def gate(label)
    session.find("li[aria-label='#{label}']")
  end

  it "keeps the leak watch's ten minutes through a closed page, and on the Bench" do
    session.click_button "First watch: dry"
    expect(session).to have_css("[role=timer]", text: /\A(10:00|9:\d\d)/)
    session.visit "about:blank"
    open_page "/"
    expect(session).to have_css("li", text: /Hollin Drift.*Second leak watch until/m)
    open_page "/jobs/job-kart/close"
    expect(session).to have_css("[role=timer]", text: /\A9:\d\d/)
    expect(session).to have_no_button("Second watch: dry")
    # eleven minutes later, by the first watch of another hour
    press_wet_and_start_over
  end

  def press_wet_and_start_over
    session.click_button "Leak watch: wet"
    session.click_button "Joint at the axle caliper"
    expect(gate("No leak")).to have_content("wet at the joint at the axle caliper: remake it")
    first_leak_watch
    session.click_button "Second watch: dry"
    expect(session).to have_content("Dry twice")
  end

  it "answers a place by one tap, each nipple by its own name, and takes one back" do
    session.click_button "At the far end: all 4 good"
    expect(session).to have_button("Releases: Confirmed")
    nipple = "Nipple of the axle caliper: shut and capped"
    session.click_button "#{nipple}: I have checked"
    expect(session).to have_button("#{nipple}: Confirmed")
    session.click_button "Releases: Confirmed"
    expect(session).to have_button("Releases: I have checked")
  end

  it "walks to the next open gate by key" do
    expect(session).to have_css(AtTheBench::NOW, text: "Type the batch of the fluid")
    press :space
    expect(session.active_element["name"]).to eq "now"
    press "L 77", :enter
    expect(session).to have_css("li[aria-label='Batch of the fluid']", text: "yes")
    press :right until (label = session.find(AtTheBench::NOW).text) == "Returns on its own"
    press :space
    expect(session).to have_button("#{label}: Confirmed")
  end

  it "offers no waiver: what cannot be released goes on hold with its tag, and is resumed where it stood" do
    expect(session).to have_content("A second person has checked")
    expect(session).to have_no_button("Free play in range: waive")
    open_page "/jobs/job-tourer-front/close"
    session.find("summary", text: "It cannot be released now").click
    expect(session).to have_button("On hold, not released", disabled: true)
    session.fill_in "What is missing", with: "the wheel's axle nut is on order\n"
    name_person "Who puts it on hold", "M. Beck"
    session.click_button "On hold, not released"
    expect(session).to have_css("h2", text: "On hold, not released")
    expect(session).to have_no_button("Sign and release")
    tag = Net::HTTP.get_response(URI("#{served.url}/api/jobs/job-tourer-front/tag.pdf"))
    expect(tag["content-type"]).to eq "application/pdf"
    session.click_link "Bench"
    expect(session).to have_css("h2", text: "On hold, not released")
    session.find("[aria-label='On hold, not released'] a").click
    expect(session).to have_content("the wheel's axle nut is on order")
    session.click_link "Close"
    session.click_button "Resume the job"
    expect(session).to have_button("Sign and release", disabled: true)
    expect(api("/jobs/job-tourer-front")).not_to include("on_hold")
  end

  it "says how high to fill for worn pads, and judges what is read" do
    session.fill_in "worn-caliper", with: "1\n"
    expect(session).to have_content("New pads would push back")
    session.fill_in "level", with: "0\n"
    expect(session).to have_content("Too full for these pads")
    expect(gate("Level set")).to have_content("too full")
  end

  it "keeps the sessions of a kart, and holds the release over a pedal that went softer" do
    session.fill_in "minutes", with: "12\n"
    session.fill_in "celsius", with: "140\n"
    session.find("label", text: "Softer or longer").click
    session.click_button "Record the session"
    expect(session).to have_css("ol[aria-label='Sessions'] li",
      text: "12 min, 140 °C at the caliper, the pedal softer or longer")
    expect(gate("Cool enough, and no softer")).to have_content("bleed it, and look for what let air in")
    session.fill_in "celsius", with: "90\n"
    session.click_button "Record the session"
    expect(session).to have_css("ol[aria-label='Sessions'] li", count: 2)
    expect(gate("Cool enough, and no softer")).to have_no_content("bleed it")
  end

  it "holds the release over a disc that is too thin, until a new one is measured" do
    session.fill_in "least-caliper", with: "4\n"
    expect(session).to have_field("least-caliper", with: "4.00")
    session.fill_in "thickness-caliper", with: "3.9\n"
    expect(session).to have_content("the disc is 3.90 mm at its thinnest, at least 4.00 mm: a new disc.")
    expect(gate("Pads and disc")).to have_content("a new disc")
    session.fill_in "thickness-caliper", with: "4.5\n"
    expect(session).to have_no_content("a new disc")
    expect(gate("Pads and disc")).to have_no_content("a new disc")
  end
end

RSpec.describe "What falls due", :browser do
  include CloseWorkByHand

  it "starts a re-check from the Bench, short, and signs it off the list" do
    open_page "/"
    session.find("button", text: /\AShow all/).click
    button = session.all("[aria-label^='Start the re-check: Hoar Lofty 600']").first
    button.click
    expect(session).to have_css("h1", text: "Close")
    expect(session).to have_no_content("Bleeding finished")
    alone_on_the_circuit
    shown(close_job, "close")["places"].each { |place| confirm_place(place["label"]) }
    name_person "Name", "R. Tarn"
    session.click_button "Sign and release"
    expect(session).to have_content("Signed off")
    expect(api("/due?days=60&limit=100")["items"].select { |line|
      line["recheck"] && line["circuit"]["id"] == "lofty-brake"
    })
      .to eq []
  end
end
