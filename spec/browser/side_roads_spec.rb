# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"

# What does not go by the straight road between Strip and Build.
RSpec.describe "Side roads at the bench", :browser do
  include CylinderWorkByHand

  describe "in Strip" do
    it "opens nothing over a bare bench, and shows the way to the list" do
      open_job("packmule-rear", "mineral")
      open_page "/jobs/walk/strip"
      wanting = stage_now("strip")["wanting"]
      expect(session).to have_content("Still to fetch before anything is opened: #{wanting.join(", ")}.")
      expect(session).to have_css(AtTheBench::NOW, text: "Fetch what is still missing")
      press :space
      expect(session).to have_css("h1", text: "Choose")
      expect(stage_now("strip")["pieces"]).to eq 0
      open_page "/jobs/walk/strip"
      session.click_link "To the pull list"
      expect(session).to have_css("h1", text: "Choose")
      expect(session).to have_content("needed before the work starts", minimum: stage_now("choose")["wanting"].size)
    end

    it "passes a line of the set-up and leaves a step out, each for a reason that stays, and takes a step back" do
      ready_to_strip("packmule-rear", "mineral")
      row = stage_now("strip")["setup"].find { |each| each["word"] == "block" }
      # in the first card, and in the list
      line = session.all("strong", text: row["label"], exact_text: true, count: 2).last.ancestor("li")
      line.click_button "Waive it with a reason"
      line.fill_in "Why it does not apply: #{row["label"]}", with: "on the bench already\n"
      expect(line).to have_content("Waived: on the bench already")
      stage_now("strip")["setup"]
        .select { |each| each["word"] == "block" && each["value"].nil? }
        .each do |each|
          session.click_button "#{each["label"]}: #{each.fetch("values", {"done" => "Done"}).values.first}"
        end

      first = session.find("[data-figure='step']").text
      session.click_button "Skip this step"
      session.fill_in "Why it is skipped: #{first}", with: "none on this one\n"
      expect(session).to have_css("li[data-status=skipped]", text: "#{first}: none on this one")
      second = session.find("[data-figure='step']").text
      together = stage_now("strip")["now"].first["all"]["looks"]
      press :space
      expect(session).to have_button("Undo: all #{together.size}")
      expect(session).to have_no_css("[data-figure='step']", text: second, exact_text: true)
      press "u"
      expect(session).to have_css("[data-figure='step']", text: second, exact_text: true)
      expect(stage_now("strip")["steps"].map { |step| step["status"] }.first(2)).to eq %w[skipped current]
    end
  end

  describe "in Measure" do
    it "wants a new part for one that is past it, and goes by the unit's own limit once it is typed" do
      apart("ridgeline-front", "dot4")
      open_page "/jobs/walk/measure"
      look_over(piston: "score")
      gauge(bore: "19.020", piston: "18.960")
      expect(session).to have_css("[role=status]", text: "Reuse, with new parts")
      session.click_button "New one on the bench: Piston"
      expect(session).to have_css("[role=status]", text: /\AReuse\z/)

      session.find("summary", text: "Limits").click
      session.fill_in "Bore, at most", with: "19.010\n"
      expect(session).to have_css("[role=status]", text: "Renew the cylinder")
      expect(session).to have_content("Largest bore 19.020 mm, at most 19.010: 0.010 mm beyond.")
      expect(session).to have_content("from the service information", count: 1)
    end

    it "refuses a slip of the gauge by name and keeps what was typed" do
      apart("ridgeline-front", "dot4")
      open_page "/jobs/walk/measure"
      place = Sandbag::Tables.rows("gauge_places").first["label"]
      session.fill_in place, exact: true, with: "91.02\n"
      expect(session).to have_content("Not recorded: value of 91.02 is out of range. Accepted: from 4 to 62 mm.")
      expect(stage_now("measure")["places"].map { |each| each["value_mm"] }.compact).to be_empty
      session.click_button "Understood"
      session.fill_in place, exact: true, with: "18.2\n"
      expect(session).to have_content("18.2 mm is 0.80 mm from the nominal 19")
      session.click_button "Understood"
      session.fill_in place, exact: true, with: "19.02\n"
      until_api { stage_now("measure")["places"].first.key?("value_mm") }
      expect(stage_now("measure")["places"].first["value_mm"]).to eq 19.02
    end

    it "takes the mechanic's call at the limit, with the reason, and lets Build go on" do
      open_page "/jobs/job-sledge/measure"
      expect(session).to have_no_link("Go on to Build")
      session.click_button "Call it good"
      session.fill_in "Why it is good enough", with: "a second gauge says 14.050\n"
      expect(session).to have_css("[role=status]", text: "Reuse, with new parts")
      session.click_button "New one on the bench: Dust boot"
      expect(session).to have_css("[role=status]", text: /\AReuse\z/)
      expect(session).to have_content("Called by the mechanic: a second gauge says 14.050")
      expect(session).to have_no_link("Go on to Build")
      compare_inside
      expect(session).to have_link("Go on to Build")
    end

    it "compares a new unit with the old, line by line, and holds the job up over a difference" do
      open_job("ridgeline-front", "dot4", route: "renew_mc")
      open_page "/jobs/walk/measure"
      rows = stage_now("measure")["comparison"]
      expect(rows.size).to be > 1
      rows.drop(1).each { |row| answer(row, "The same") }
      answer(rows.first, "Differs")
      session.fill_in "What differs", with: "outlet thread\n"
      until_api { stage_now("measure")["comparison"].first["value"] == "differs" }
      expect(stage_status("measure")).not_to eq "done"
      answer(rows.first, "Differed, resolved")
      session.fill_in "How it was resolved", with: "bolt from the kit, same pitch\n"
      until_api { stage_status("measure") == "done" }
      expect(session).to have_content("bolt from the kit, same pitch")
    end

    def answer(row, word)
      session
        .find("h3", text: row["label"], exact_text: true)
        .ancestor("li")
        .find("label", text: word, exact_text: true)
        .click
      if word == "The same"
        until_api { stage_now("measure")["comparison"].find { |each| each["id"] == row["id"] }["value"] == "same" }
      end
    end

    def stage_status(id)
      job_now["stages"].find { |stage| stage["id"] == id }["status"]
    end
  end

  describe "in Build" do
    it "puts nothing in before the verdict" do
      apart("packmule-rear", "mineral")
      open_page "/jobs/walk/build"
      expect(session).to have_content("Measure has no verdict yet.")
      expect(session).to have_button("Fitted", disabled: true)
      session.click_link "Reuse or renew?"
      expect(session).to have_css("h1", text: "Measure")
    end

    it "does not finish over a check that failed, and says which lubricants these seals do not bear" do
      apart("packmule-rear", "mineral")
      looked_over_by_eye
      stage_now("measure")["inner"].each { |line| enter("measure", "inner", {row: line["id"], value: "same"}) }
      stage_now("build")["checks"].select { |check| check["before"] }
        .each { |check| enter("build", "check", {check: check["id"], pass: true}) }
      while (step = stage_now("build")["current"])
        now = stage_now("build")["steps"].find { |each| each["id"] == step }
        now["parts"].each do |part|
          if part["question"]
            enter(
              "build",
              "facing",
              {part: part["id"], faces: part["options"][right_key("bike_stop_plate", part["id"]).to_i - 1]["id"]}
            )
          end
        end
        enter("build", "step", {step: step})
      end
      open_page "/jobs/walk/build"
      finish_build
      boot = stage_now("build")["checks"].last["label"]
      session.click_button "#{boot}: failed"
      expect(session).to have_no_link("Go on to Fit")
      expect(job_now["waits_for"]).to eq Sandbag::Wording.inside(boot)
      session.click_button "#{boot}: passed"
      expect(session).to have_link("Go on to Fit")

      session.find("summary", text: "Not on these seals").click
      expect(session).to have_content("Red rubber grease: never").and have_content("Silicone grease: dry side only")
    end
  end

  it "builds with the shop's lubricant where the fluid bears it, and with the circuit's own fluid where not" do
    open_page "/shop"
    session.find("label", text: "Red rubber grease", exact_text: true).click
    until_api { api("/shop")["lubricant"] == "rubber_grease" }
    open_page "/jobs/job-sledge/build"
    expect(session).to have_css("label[data-selected]", text: "Red rubber grease")
    open_page "/jobs/job-cargo-rear/build"
    expect(session).to have_css("label[data-selected]", text: "The circuit's own clean fluid")
    expect(session).to have_no_css("label", text: "Red rubber grease")
  end

  it "puts a name on the shelf right, and keeps what it was called in its record" do
    open_page "/shelf"
    session.find("label", text: /Seal kits/).click
    session.click_button "Record of Radial kit, 19"
    session.fill_in "Name", with: "Radial kit, 19, second bag\n"
    expect(session).to have_css("h2", text: "Radial kit, 19, second bag")
    record = session.find("h2", text: "Radial kit, 19, second bag").ancestor("li")
    expect(record).to have_content("described Radial kit, 19, second bag").and have_content("added")
    session.find_field("Price").send_keys([:control, "a"], "a lot", :enter)
    expect(record).to have_content("Price").or have_content("is not")
    expect(api("/shelf")["items"].find { |item| item["id"] == "kit-radial-19" }["price_minor"]).to eq 4400
  end
end
