# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Reading the lever", :browser do
  before { open_page "/jobs/job-kart/feel" }

  def read(force, travel)
    session.fill_in "Force", with: force
    session.fill_in "Travel", with: "#{travel}\n"
  end

  it "marks a reading far off the curve, keeps it, and sets it aside when told" do
    read("160", "24")
    expect(session).to have_content("far off the curve")
    expect(session).to have_css("[role=status]", text: /Marginal|Bleed again|Can't tell/)
    session.click_button "Set aside 160 N"
    expect(session).to have_css("tr", text: /160.0 N.*set aside/m)
    expect(session).to have_css("[role=status]", text: "Pass")
  end

  it "takes readings back by its key and from the list" do
    rows = session.all("table[aria-label=Readings] tbody tr").size
    press "u"
    expect(session).to have_css("table[aria-label=Readings] tbody tr", count: rows - 1)
    session.first("button", text: /Remove/).click
    expect(session).to have_css("table[aria-label=Readings] tbody tr", count: rows - 2)
  end

  it "says which light pulls to add when it cannot tell" do
    3.times do
      rows = session.all("table[aria-label=Readings] tbody tr").size
      session.first("table[aria-label=Readings] button", text: /Remove/).click
      expect(session).to have_css("table[aria-label=Readings] tbody tr", count: rows - 1)
    end
    expect(session).to have_css("[role=status]", text: "Can't tell")
    expect(session).to have_content("Air and dead travel only part at a light push.")
    expect(session).to have_content(/Next: push \d+ N at the foot/)
  end

  it "keeps what cannot be read, says why, and goes on" do
    read("hard", "13")
    expect(session).to have_content("Not recorded: “hard” is not a number.")
    session.click_button "Understood"
    expect(session).not_to have_content("Not recorded")
    read("17", "lots")
    expect(session).to have_content("“lots” is not a number")
  end

  it "reads kilograms off a luggage scale and inches off a rule" do
    rows = session.all("table[aria-label=Readings] tbody tr").size
    read("10 kgf", "0.59 in")
    expect(session).to have_css("table[aria-label=Readings] tbody tr", count: rows + 1)
    expect(session).to have_css("tr", text: /98.1 N.*15.0 mm/)
  end

  it "is told when the lever creeps, and Close says so" do
    press "h"
    press "3,5", :enter
    expect(session).to have_content("The pedal creeps")
    session.click_link "Close"
    expect(session).to have_css("li", text: /Static hold.*the hold test is still to do, or failed/m)
  end

  it "forgets readings that are older than the last stroke" do
    session.click_link "Bleed"
    expect(session).to have_content("Every point ran clean.")
    press :space
    session.find("nav[aria-label='Stages of this job']").click_link("Feel")
    expect(session).to have_content("Readings were taken before the last strokes and no longer apply.")
    expect(session).to have_content("Not yet")
  end
end

RSpec.describe "Releasing", :browser do
  before { open_page "/jobs/job-kart/close" }

  it "refuses the function test before the lever is proven, and says what is missing" do
    session.click_button "Walking pace: I have checked"
    expect(session).to have_content("Not recorded: no function test yet: still open: batch of the fluid")
    expect(session).to have_button("Walking pace: I have checked")
  end

  it "wants a second person on an only brake, and takes a confirmation back" do
    expect(session).to have_content("A second person has checked")
    session.click_button "Level set: I have checked"
    session.click_button "Level set: Confirmed"
    expect(session).to have_button("Level set: I have checked")
    name_person "Name", "R. Tarn"
    expect(session).to have_button("Sign and release", disabled: true)
    expect(session).to have_content("gates are still open")
  end
end

RSpec.describe "Without a server", :browser do
  it "shows what was last known, and says what cannot be done", worker: true do
    open_page "/"
    wait_until_kept "/", "/api/jobs?state=open", "/api/machines?limit=6&retired=false"
    served.stop("KILL")
    session.refresh
    expect(session).to have_content("Corvane Ridgeline 900: Front brake")
    session.click_button "Start a job on Tarnbeck Scree 250, Clutch"
    expect(session).to have_content("The server cannot be reached.")
    served.start
    start_a_second_job "Tarnbeck Scree 250, Clutch"
  end

  it "shows a job as a job, although something else was opened by its address before", worker: true do
    open_page "/jobs/job-kart/feel"
    wait_until_kept "/", "/api/jobs/job-kart", "/api/jobs/job-kart/stages/feel"
    session.visit("#{served.url}/api/knowledge")
    expect(session).to have_content("lever_feel")
    served.stop("KILL")
    session.visit("#{served.url}/jobs/job-kart/feel")
    expect(session).to have_css("h1", text: "Feel")
    expect(session).to have_content("Hollin Drift twin-seat")
  end

  it "counts in two tabs at once and loses none" do
    open_page "/jobs/job-tourer-front/bleed"
    before = shown("job-tourer-front", "bleed")["total_strokes"]
    second = session.open_new_window
    session.within_window(second) do
      open_page "/jobs/job-tourer-front/bleed"
      press :space, :space
    end
    press :space
    until_api { shown("job-tourer-front", "bleed")["total_strokes"] == before + 3 }
    session.refresh
    expect(session).to have_css("[data-figure='strokes']", text: "10")
  end
end

RSpec.describe "An empty shop", :browser, demo: false do
  it "leads from the Bench to the first question of a first job" do
    open_page "/"
    expect(session).to have_css("h1", text: "Sandbag").and have_content("Open the first job: four questions")
    expect(session).to have_no_field("2. What is it called?")
    session.find("label", text: "Snowmobile", exact_text: true).click
    session.fill_in "2. What is it called?", with: "First one\n"
    session.fill_in "3. What is wrong, in the rider's own words?", with: "Lever to the bar\n"
    session.click_button "Disc on the jackshaft"
    expect(session).to have_content("Have you done this kind of job before?")
    press "1"
    expect(session).to have_content("Service information on hand?")
    press "1"
    expect(session).to have_content("Is this its only brake?").and have_content("The record says: Yes")
    until_api { api("/jobs?state=open")["items"].first["complaint"] == "Lever to the bar" }
    session.click_link "Bench"
    expect(session).to have_css("li", text: "First one: Disc on the jackshaft")
  end

  it "says what belongs in every room, and how to put it there" do
    {"/machines" => "Add a machine", "/shelf" => "Add the first", "/sizer" => "Add a machine"}.each do |path, offer|
      open_page path
      expect(session).to have_content(offer)
    end
  end
end
