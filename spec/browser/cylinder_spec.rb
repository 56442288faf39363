# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require "tmpdir"

RSpec.describe "A cylinder taken apart", :browser do
  include CylinderWorkByHand

  it "walks a bicycle lever from set-up to tray zero, with a lip the wrong way and a part missing" do
    ready_to_strip("packmule-rear", "mineral")
    set_up
    expect(session).to have_css("svg[aria-label*='cut open']")
    expect(session).to have_css("[data-figure='step']", text: "Pads out")
    press :space
    session.click_button "One more: Lid screws"
    expect(session).to have_css("[role=group][aria-label='Lid screws: 3']")
    strip_by_space
    expect(session).to have_content("Do not press the lever.")
    expect(session).to have_css("li[aria-label='1: Lid screws, 3']")
    session.click_link "Go on to Measure"

    look_over
    gauge(bore: "10.018", piston: "9,972")
    expect(session).to have_css("[role=status]", text: "Reuse")
    session.click_link "Go on to Build"

    turned = nil
    build_by_keys("bike_stop_plate") do |part|
      next unless part["id"] == "primary_cup" && turned.nil?
      turned = true
      press "2"
      expect(session).to have_css("[role=alert]", text: "Cup lips point to the fluid")
      expect(session).to have_button("Fitted", disabled: true)
    end
    expect(turned).to be true
    expect(session).to have_content("Everything is fitted.")

    # a bush stayed in the tray
    session.find("button[aria-haspopup=listbox]", text: "nothing").click
    session.find("[role=option]", text: "Flanged bushes").click
    session.click_button "One more: Flanged bushes"
    expect(session).to have_css("[role=alert]", text: "Left in the tray: 1 × Flanged bushes")
    expect(session).not_to have_link("Go on to Fit")
    session.click_button "It is in now"
    expect(session).to have_css("[data-figure='left']", text: "0")

    wanted = shown("walk", "build")["scrap_wanted"]
    session.fill_in "Old pieces in the scrap pot (#{wanted} belong in it)", with: "#{wanted - 1}\n"
    expect(session).to have_content("One is missing, or an old part went back in.")
    finish_build
    expect(session).to have_content("All parts accounted for")
    expect(browser_faults).to be_empty
  end

  it "walks a radial master to a bore that is past it, and back to Choose with what became stale" do
    ready_to_strip("ridgeline-front", "dot4")
    set_up
    strip_by_space
    session.click_link "Go on to Measure"
    look_over(bore: "score")
    expect(session).to have_css("[role=status]", text: "Renew the cylinder")
    expect(session).to have_content("Bore, seal path: score or ridge that catches.")
    session.click_button "Renew the master: back to Choose"
    expect(session).to have_css("h1", text: "Choose")
    expect(session).to have_content("No longer needed")
    session.click_button "Return to stock", match: :first
    expect(shown("walk", "ask")).to include("route" => "renew_mc")
    expect(shown("walk", "ask")).not_to include("reason")
    expect(api("/jobs/walk")["waits_for"]).to include("a cylinder")
  end

  it "leaves a figure at the limit to the mechanic, with the simulated gauge at hand" do
    open_page "/jobs/job-sledge/measure"
    expect(session).to have_css("[role=status]", text: "Too close to call")
    session.click_button "Read again: Bore, middle, across"
    session.click_button "Read the simulated gauge"
    expect(session).to have_content("All of it is read.")
    session.click_button "Read again: Bore, middle, across"
    session.fill_in "Bore, middle, across", with: "14.090\n"
    expect(session).to have_css("[role=status]", text: "Renew the cylinder")
    session.click_button "Read again: Bore, middle, across"
    session.find("label", text: "Sliding caliper", exact_text: true).click
    session.fill_in "Bore, middle, across", with: "14.05\n"
    expect(session).to have_content("cannot judge a bore")
  end

  it "says where a job was left, what is open, and what to cover, on the job and on the bench" do
    open_page "/jobs/job-cargo-front/strip"
    expect(session).to have_content("Open to the air: the reservoir, its lid laid on")
    open_page "/"
    left = session.find("li, tr", text: "lever sticks half way", match: :first)
    expect(left).to have_content("stop plate off").and have_content("Open to the air: the reservoir, its lid laid on.")
  end

  it "climbs the ladder of a stuck piston, one rung at a time, and warns of what is never done" do
    open_page "/jobs/job-cargo-front/strip"
    expect(session).to have_content("Never workshop air").and have_content("Never a flame")
    session.click_button "Did not help"
    session.click_button "It came"
    expect(session).to have_content("It came")
    expect(session).not_to have_button("It came")
  end

  it "keeps a photo with the job, and refuses what is none" do
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/setup.png", "MZ#{"\x90" * 200}")
      open_page "/jobs/job-cargo-front/strip"
      session.fill_in "What it shows", with: "Clamp split\n"
      session.attach_file("Add a photo", "#{folder}/setup.png", make_visible: true)
      expect(session).to have_content("not a PNG image")
      session.attach_file("Add a photo", "#{ROOT}/spec/fixtures/small.png", make_visible: true)
      expect(session).to have_css("img[alt='Clamp split']")
      width = -> { session.evaluate_script("document.querySelector('img[alt=\"Clamp split\"]').naturalWidth") }
      until_api { width.call.positive? }
      expect(width.call).to eq 80
    end
  end

  def photos = api("/jobs/job-cargo-rear")["photos"]

  # A finger goes from one place of the open photo to another one, in shares of it.
  def draw(from, to)
    picture = session.find("[role=dialog] img").native
    width, height = picture.size.to_a
    at = ->(place) { [((place[0] - 0.5) * width).round, ((place[1] - 0.5) * height).round] }
    session.driver.browser.action.move_to(picture, *at[from]).click_and_hold.move_to(picture, *at[to]).release.perform
  end

  def natural_size(alt)
    session.evaluate_script("(({naturalWidth, naturalHeight}) => [naturalWidth, naturalHeight])(" \
      "document.querySelector('img[alt=\"#{alt}\"]'))")
  end

  it "shrinks a photo on the way, takes a mark drawn by finger, and stands before and after side by side" do
    open_page "/jobs/job-cargo-rear/strip"
    session.fill_in "What it shows", with: "Clamp split\n"
    session.attach_file("Add a photo", "#{ROOT}/spec/fixtures/large.jpg", make_visible: true)
    until_api { photos.size == 1 }
    session.find("button", text: "Clamp split · Strip").click
    draw [0.5, 0.5], [0.75, 0.5]
    until_api { photos.first["marks"].size == 1 }
    session.find("label", text: "Arrow").click
    draw [0.1, 0.1], [0.4, 0.4]
    until_api { photos.first["marks"].size == 2 }
    circle, arrow = photos.first["marks"]
    expect(circle).to include("shape" => "circle", "to_x" => a_value_within(0.01).of(0.75))
    expect(arrow).to include("shape" => "arrow", "x" => a_value_within(0.01).of(0.1))
    session.click_button "Undo the last mark"
    until_api { photos.first["marks"] == [circle] }
    session.click_button "Back to work"
    open_page "/jobs/job-cargo-rear/build"
    session.attach_file("Photograph it again", "#{ROOT}/spec/fixtures/large.jpg", make_visible: true)
    expect(session).to have_button("Clamp split · Build")
    expect(photos.last).to include("again" => photos.first["entry"], "what" => "Clamp split")
    expect(natural_size("Clamp split")).to eq [2000, 1500]
    expect(browser_faults).to be_empty
  end
end
