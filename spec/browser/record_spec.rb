# frozen_string_literal: true

require "tmpdir"
require_relative "helper"

RSpec.describe "The record", :browser do
  it "shows a lever over the months, and the worst one of the fleet first" do
    open_page "/machines/lofty"
    expect(session).to have_content("Lever over the months")
    expect(session).to have_content(/It uses .* of its allowance a month; due about/)
    expect(session).to have_css("svg[aria-label^='Travel lost to air over the months']")
    open_page "/machines"
    session.find("label", text: "Worst lever first").click
    expect(session).to have_css("ul[aria-label='Levers, the worst first'] li", minimum: 2)
    expect(session.all("ul[aria-label='Levers, the worst first'] li").first).to have_content("Hoar Lofty 600")
    expect(axe_violations).to be_empty
  end

  it "keeps the owner's mark, place, use and meter, and moves what falls due with the use" do
    open_page "/machines/packmule"
    session.click_button "Edit machine"
    session.fill_in "Owner's mark", with: "Cargo 3\n"
    session.fill_in "Where it stands", with: "in the hut\n"
    expect(session).to have_content("Cargo 3 · stands in the hut · Daily")
    before = api("/machines/packmule")["due"].find { |line|
      line["kind"] == "fluid" && line["circuit"]["name"] == "Front brake"
    }
    session.find("button", text: "Daily").click
    session.find("[role=option]", text: "Hire", exact_text: true).click
    expect(session).to have_content("Cargo 3 · stands in the hut · Hire")
    after = api("/machines/packmule")["due"].find { |line|
      line["kind"] == "fluid" && line["circuit"]["name"] == "Front brake"
    }
    expect(after["on"]).to be < before["on"]
    open_page "/machines"
    session.fill_in "Find a machine", with: "cargo hut"
    expect(session).to have_css("h2", text: "Oxholm Packmule")
    expect(session).to have_no_css("h2", text: "Hoar Lofty")
  end

  it "takes a list of machines in after saying what each line would do" do
    Dir.mktmpdir do |folder|
      File.write("#{folder}/bad.csv", "name,kind\nSledge 8,boat\n")
      File.write("#{folder}/good.csv", "name,kind,mark\nSledge 8,snowmobile,R8\n")
      open_page "/machines"
      input = session.find("input[type=file][accept*='csv']", visible: :all)
      input.set("#{folder}/bad.csv")
      expect(session).to have_content("1 error. Nothing is imported")
      input.set("#{folder}/good.csv")
      session.click_button "Import 1"
      expect(session).to have_content("1 imported.")
      expect(session).to have_css("h2", text: "Sledge 8")
    end
  end
end

RSpec.describe "An archive", :browser do
  def archive
    @archive ||= Net::HTTP.get(URI("#{served.url}/api/archive"))
  end

  it "is brought into an empty shop, and a job goes on there" do
    text = archive
    Dir.mktmpdir do |folder|
      File.write("#{folder}/shop.json", text)
      empty = Served.new(demo: false)
      here, @served = @served, empty
      open_page "/"
      session.find("input[type=file][accept*='json']", visible: :all).set("#{folder}/shop.json")
      expect(session).to have_css("ul[aria-label='Open jobs'] li", minimum: 5)
      open_page "/jobs/job-tourer-front/bleed"
      before = figure("strokes")
      press :space
      expect(session).to have_css("[data-figure='strokes']", text: (before + 1).to_s, exact_text: true)
      open_page "/shop"
      expect(session).to have_content("Stays: something was entered in a job.")
      @served = here
      empty.remove
    end
  end

  # One machine of the shop, by another name.
  def one_machine
    machine = JSON.parse(archive)["machines"].find { |each| each["id"] == "drift" }
    machine["id"] = "brought"
    machine["name"] = "Brought along"
    machine["circuits"] = [machine["circuits"].first.merge("id" => "brought-brake", "comparisons" => [])]
    JSON.generate(JSON.parse(archive).merge("machines" => [machine], "jobs" => [], "shelf" => [], "settings" => {}))
  end

  it "is removed again while nothing rests on it" do
    Dir.mktmpdir do |folder|
      File.write("#{folder}/one.json", one_machine)
      open_page "/shop"
      session.find("input[type=file][accept*='json']", visible: :all).set("#{folder}/one.json")
      expect(session).to have_css("ul[aria-label='Imported archives'] li", text: "1 machine")
      expect(api("/machines")["items"].map { |machine| machine["id"] }).to include "brought"
      session.click_button "Remove what it brought"
      expect(session).to have_no_css("ul[aria-label='Imported archives']")
      expect(api("/machines")["items"].map { |machine| machine["id"] }).not_to include "brought"
    end
  end

  it "that is damaged is refused with its place, and nothing of it comes in" do
    Dir.mktmpdir do |folder|
      broken = JSON.parse(archive).tap { |all| all["machines"][0]["id"] = "other" }
      broken["machines"][0]["circuits"][0]["sheet"]["kind"] = "anchor"
      File.write("#{folder}/shop.json", JSON.generate(broken))
      open_page "/shop"
      session.find("input[type=file][accept*='json']", visible: :all).set("#{folder}/shop.json")
      expect(session).to have_content("machines/0/circuits/0/sheet/kind")
      expect(session).to have_content("Nothing was imported.")
      expect(api("/machines")["items"].map { |machine| machine["id"] }).not_to include "other"
    end
  end
end
