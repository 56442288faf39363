# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "fit_work"
require_relative "bleed_work"

RSpec.describe "What a job takes", :browser do
  include CylinderWorkByHand
  include FitWorkByHand
  include BleedWorkByHand

  def started(circuit, route)
    post("/jobs", {id: "walk", circuit_id: circuit})
    answer_stops("walk")
    post("/jobs/walk/entries", {id: "r", stage: "ask", kind: "route", data: {route: route}})
    open_page "/jobs/walk/choose"
  end

  def short
    api("/jobs/walk/supplies")["buy"].map { |row| row["label"] }
  end

  it "goes from nothing on the shelf to the buy list, to the shelf, to the bench, and back" do
    post("/machines/scree/circuits", {id: "spare", name: "Spare rear", template: "road_rear"})
    started("spare", "renew_mc")
    pick "Fluid that goes in", "DOT 4 glycol" unless session.has_no_content?("Fluid that goes in", wait: 1)
    expect(short).to include("Split pin or spring clip", "Whole cylinder")
    expect(session).to have_link("Buy list", exact: false)
    bought = session.find("[role=checkbox][aria-label='Split pin or spring clip']")
    expect(bought).to have_content("1 to buy: New whenever the old one comes out")

    open_page "/shelf"
    session.find("label", text: /Single parts/).click
    session.click_button "Add: Single part"
    session.fill_in "Name", with: "Spring clips, 6 mm pin\n"
    session.find("button", text: "not chosen yet").click
    session.find("[role=option]", text: "Split pin or spring clip", exact_text: true).click
    session.fill_in "Supplier (if known)", with: "North Counter\n"
    session.fill_in "Price", with: "0.20\n"
    session.fill_in "How many", with: "10\n"
    session.click_button "Put it on the shelf"
    expect(session).to have_content("Spring clips, 6 mm pin")
    expect(short).not_to include "Split pin or spring clip"

    open_page "/jobs/walk/choose"
    tick "Split pin or spring clip"
    expect(session.find("[role=checkbox][aria-label='Split pin or spring clip']"))
      .to have_content("On the bench: Spring clips, 6 mm pin")
    pins = -> { api("/shelf")["items"].find { |item| item["name"] == "Spring clips, 6 mm pin" } }
    until_api { pins.call["free"] == 9 }
    session.find("[role=checkbox][aria-label='Split pin or spring clip']").click
    until_api { pins.call["free"] == 10 }
    expect(session).to have_css("[role=checkbox][aria-label='Split pin or spring clip'][aria-checked=false]")
    expect(browser_faults).to be_empty
  end

  it "goes on to the whole unit where no kit is sold" do
    open_page "/jobs/job-scooter/choose"
    session.find("summary", text: "No kit to be had").click
    pick "Why there is no kit", "No kit is sold for it"
    session.click_button "Change the repair: Renew the master"
    until_api { api("/jobs/job-scooter")["route"] == "renew_mc" }
    expect(session).to have_no_css("summary", text: "No kit to be had")
  end

  it "takes a kit with another piston no further than the bench it is laid on" do
    apart("scree-front", "dot4")
    looked_over_by_eye
    open_page "/jobs/walk/measure"
    expect(session).to have_no_link("Go on to Build")
    session.find("summary", text: "Measured, old and new").click
    session.fill_in "Length over all, old", with: "48.1\n"
    session.fill_in "Length over all, new", with: "48.4\n"
    expect(session).to have_content("too far apart: another variant")
    piston = session.find("[role=radiogroup]", text: "Piston: new against old")
    piston.find("label", text: "The same", exact_text: true).click
    expect(session).to have_content("length over all differ by more than 0.2 mm")
    session.click_button "Understood"
    session.fill_in "Length over all, new", with: "48.1\n"
    expect(session).to have_no_content("too far apart")
    piston.find("label", text: "Another maker’s, and it matches", exact_text: true).click
    session.fill_in "Who decided it, and what was measured", with: "R. Tarn: length and grooves alike\n"
    expect(session).to have_content("R. Tarn: length and grooves alike")
    compare_inside
    expect(session).to have_link("Go on to Build")
  end

  it "measures a hose before it is ordered, and lays it" do
    post("/machines/scree/circuits", {id: "spare", name: "Spare front", template: "offroad_front"})
    started("spare", "renew_hose")
    pick "Fluid that goes in", "DOT 4 glycol"
    expect(session).to have_content("1 to measure")
    hose = stage_now("choose")["hoses"].first
    expect(job_now["waits_for"]).to start_with "how long the new"
    session.fill_in "#{hose["label"]}: length to order", with: "1130\n"
    until_api { stage_now("choose")["hoses"].first["known"] }
    line = api("/jobs/walk/supplies")["lines"].find { |each| each["id"].start_with?("hose.") }
    expect(line["detail"]).to start_with "1130 mm"
    short = line["options"].find { |option| option["name"] == "Braided hose, 850" }
    expect(short["wrong"]).to include "280 mm too short"
    stage_now("choose")["wanting"].each do |wanted|
      add_entry("choose", "pulled", {line: wanted, reason: "made up to that length"})
    end
    stage_now("measure")["comparison"].each do |row|
      add_entry("measure", "compared", {row: row["id"], value: "same"})
    end
    open_page "/jobs/walk/strip"
    protect
    session.click_link "Go on to Fit"
    fit_by_hand
    expect(fit_now["hoses"].first).to include("length_mm" => 1130, "due" => [])
    expect(browser_faults).to be_empty
  end
end
