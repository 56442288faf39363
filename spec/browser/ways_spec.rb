# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Ways to bleed, by hand", :browser do
  # A job worked beside the page up to where the block leaves it, entry by entry.
  def worked(id, circuit)
    post("/jobs", {id: id, circuit_id: circuit, beside: true})
    record = api("/circuits/#{circuit}")
    job = JobInMemory.new(Sandbag::Circuit::Sheet.new(record["sheet"]),
      machine_kind: api("/machines/#{record["machine_id"]}")["kind"])
    yield job
    job.entries.each do |entry|
      post("/jobs/#{id}/entries",
        {id: "#{id}-#{entry.id}", stage: entry.stage, kind: entry.kind, data: entry.data}.merge(
          entry.corrects ? {corrects: "#{id}-#{entry.corrects}"} : {}
        ))
    end
  end

  def ready(id, circuit, fluid: "dot4")
    worked(id, circuit) do |job|
      %w[fluid_marked fluid_found].each do |question|
        job.write("ask", "intake", {"question" => question, "value" => fluid})
      end
      job.answer_stops
      job.add("ask", "route", {"route" => "bleed"})
      job.choose_what_is_wanted(fluid)
      job.protect
    end
  end

  # A line that was opened, and is together again but dry.
  def opened(id, circuit, route)
    worked(id, circuit) do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => route})
      job.work_everywhere
      job.choose_what_is_wanted
      job.state.stages.each_key do |stage|
        job.public_send(CylinderWork::WORK.fetch(stage)) if %w[strip measure build fit].include?(stage)
      end
    end
  end

  def take(method)
    session.within("ul[aria-label='Methods']") do
      session.click_button method
      session.click_button "Bleed this way"
    end
    expect(session).to have_css("li", text: /#{method}.*this job's/m)
  end

  # The step that was sent is answered: the next one is known.
  def answered
    expect(session).to have_no_css("[data-busy=true]")
  end

  def run(ml, out: nil)
    session.fill_in "run", with: "#{ml}\n"
    session.fill_in "out", with: "#{out}\n" if out
    session.click_button "Count it"
  end

  it "two syringes on a bicycle: in below, out above, neither ever empty, both ports full at the end" do
    ready("pair", "packmule-front", fluid: "mineral")
    open_page "/jobs/pair/bleed"
    take "Two syringes"
    answer_looks "Before fluid moves"
    expect(session).to have_css("[data-figure='to-go']", text: "20")
    press :space
    expect(session).to have_button("Push the lower, pull the upper: enter the mL", exact: false)
    run 14, out: 13
    expect(session).to have_css("li [aria-current=step]", text: "3 times")
    3.times do
      press :space
      answered
    end
    expect(session).to have_css("li [aria-current=step]", text: "Push the lower")
    expect(session).to have_css("[role=alert]", text: "Refill the syringe now, nipple shut.")
    run 9, out: 9
    expect(session).to have_css("[role=alert]", text: "The syringe is at its end.")
    expect(session).to have_button("Count it", disabled: true)
    expect(session).to have_css("li [aria-current=step]", text: "3 times")
    4.times do
      answered
      press :space
    end
    expect(session).to have_css("li [aria-current=step]", text: "Push the lower")
    press "t"
    expect(session).to have_css("svg[aria-label^='Syringe: about 23 of 23 mL']")
    expect(session).to have_content("23 in below, 22 mL out above")
    session.find("label", text: "As fresh").click
    ["Upper syringe off", "Caliper up or down"].each do |step|
      expect(session).to have_button(step, exact: false)
      press :space
    end
    session.click_button "Point finished"
    expect(session).to have_content("Every point ran clean.")
    session.click_button "Fluid stood at the rim of both ports when they were plugged: One stood low"
    expect(session).to have_content("A low port shuts air in.")
    answer_looks "Last"
    expect(session).to have_link("check the lever in Feel")
    expect(axe_violations).to be_empty
    expect(browser_faults).to be_empty
  end

  it "a dry kart line by gravity, led by one key, then by strokes" do
    opened("dry", "drift-brake", "renew_hose")
    open_page "/jobs/dry/bleed"
    expect(session).to have_css("section[aria-label='Now'] h2", text: "How is it bled?")
    take "Gravity fill"
    answer_looks "Before fluid moves"
    expect(session).to have_css("[role=timer]", text: "of 20:00")
    press "v"
    expect(session).to have_css("main[aria-label='Bench view'] [role=timer]", text: /\A0:\d\d\s*of 20:00/)
    press "v"
    expect(session).to have_no_css("main[aria-label='Bench view']")
    press :space
    expect(session).to have_button("Let it run: enter the mL", exact: false)
    expect(session).to have_content("The lever is loose while a nipple is open")
    press :space
    expect(session).to have_css("input[name='run']:focus")
    run 12
    expect(session).to have_css("[data-figure='to-top-up']")
    session.click_button "Close the nipple"
    session.find("summary", text: "Will it move the air?").click
    take "Hold, open, close, release"
    count_strokes(3)
    expect(shown("dry", "bleed").slice("total_strokes", "in_ml")).to eq("total_strokes" => 3, "in_ml" => 12.0)
    session.find("summary", text: "Something went wrong").click
    session.click_button "Pumped fast"
    expect(session).to have_css("[role=alert]", text: "Quick strokes only break bubbles up")
    expect(session).to have_button("Time 15 min")
    expect(axe_violations).to be_empty
    expect(browser_faults).to be_empty
  end

  it "sends a step once, however often its key is pressed before the server has answered" do
    ready("haste", "scree-front")
    open_page "/jobs/haste/bleed"
    take "Reverse bleed with a syringe"
    answer_looks "Before fluid moves"
    expect(session).to have_button("Open", exact: false)
    served.stop("KILL")
    press :space, :space, :space
    served.start
    answered
    expect(session).to have_button("Push slowly: enter the mL", exact: false)
    expect(shown("haste", "bleed")["recent"].map { |entry| entry["kind"] }.count("beat")).to eq 1
  end

  it "a syringe from below on one caliper of a hand brake: open, push, shut, draw down, refill, by one key" do
    ready("up", "scree-front")
    open_page "/jobs/up/bleed"
    take "Reverse bleed with a syringe"
    answer_looks "Before fluid moves"
    expect(session).to have_button("Open", exact: false)
    press :space
    expect(session).to have_button("Push slowly: enter the mL", exact: false)
    run shown("up", "bleed")["reservoir"]["left_ml"].floor
    expect(session).to have_css("li [aria-current=step]", text: "Close")
    press :space
    expect(session).to have_css("li [aria-current=step]", text: "Draw the reservoir down")
    press :space
    expect(session).to have_css("li [aria-current=step]", text: "Refill the syringe")
    press :space
    expect(session).to have_css("li [aria-current=step]", text: "Open")
    session.find("summary", text: "Sample in the jar: not looked at").click
    session.find("label", text: "Grit or sludge").click
    expect(session).to have_content("Grit or sludge at every point, a sign of dirt or corrosion")
    expect(browser_faults).to be_empty
  end

  it "an added hand master filled from below: piston home, the loose joint, tightened, on to the overflow" do
    post("/machines", {id: "made-up", name: "Made up", kind: "road"})
    post("/machines/made-up/circuits", {id: "made-up-rear", name: "Rear brake", template: "road_rear"})
    opened("both", "made-up-rear", "add_mc")
    open_page "/jobs/both/bleed"
    take "Pushed up to the second master"
    answer_looks "Before fluid moves"
    ["Piston home", "Open"].each do |step|
      expect(session).to have_css("li [aria-current=step]", text: step)
      press :space
    end
    expect(session).to have_button("Push to the loose joint: enter the mL", exact: false)
    run 3
    expect(session).to have_css("li [aria-current=step]", text: "Tighten the joint")
    press :space
    expect(session).to have_button("Push on: enter the mL", exact: false)
    run 2
    expect(session).to have_css("li [aria-current=step]", text: "The helper does this.")
    press :space
    expect(session).to have_css("li [aria-current=step]", text: "Push on")
    expect(browser_faults).to be_empty
  end

  it "vacuum on a clutch: nothing is drawn before the tool is shown to be tight" do
    ready("vacuum", "scree-clutch")
    stop_time
    open_page "/jobs/vacuum/bleed"
    take "Hand vacuum pump"
    answer_looks "Before fluid moves"
    expect(session).to have_no_field("run")
    session.fill_in "vacuum", with: "0.06\n"
    expect(session).to have_css("[role=timer]", text: /\d+ s/)
    expect(session).to have_no_field("vacuum-after")
    move_time 15
    expect(session).to have_field("vacuum-after")
    session.fill_in "vacuum-after", with: "0.05\n"
    expect(session).to have_content("It falls: the tool draws air")
    session.fill_in "vacuum-after", with: "0.058\n"
    expect(session).to have_field("run")
    run 6
    expect(session).to have_css("[role=alert]", text: "Top up now, nipple shut.")
    run 30
    expect(session).to have_content("Not recorded: 30 mL is more than was there")
    session.click_button "Understood"
    expect(browser_faults).to all(include("status of 422"))
    session.find("label", text: "Poured in while it ran").click
    run 30
    expect(session).to have_css("[data-figure='to-go']", text: /\A0\z/)
    session.find("label", text: "As fresh").click
    expect(session).to have_button("Point finished", disabled: false)
    press "f"
    expect(session).to have_css("ul[aria-label='Last']", text: "The nipple was closed while the pump still drew")
  end

  it "a syringe from below on a dry kart line: as much as the reservoir has room for, then drawn down" do
    opened("below", "drift-brake", "renew_hose")
    open_page "/jobs/below/bleed"
    take "Reverse bleed with a syringe"
    answer_looks "Before fluid moves"
    room = shown("below", "bleed")["reservoir"]["full_ml"].round
    run room
    expect(session).to have_css("[role=alert]", text: "Refill the syringe, draw the reservoir down (T).")
    press "t"
    expect(session).to have_css("svg[aria-label^='Syringe: about #{room} of']")
    run 5
    session.click_button "Syringe ran empty"
    expect(session).to have_content("Count started over.")
  end

  it "stubborn air in twin discs: rung by rung, and back to Ask after the third round" do
    worked("stubborn", "ridgeline-front") { |job| job.bled }
    open_page "/jobs/stubborn/bleed"
    session.click_button "Springy: another round"
    expect(session).to have_css("h2", text: "Stubborn air, round 1 of 3")
    ["Close all, squeeze, hold", "Wait and tap", "Light pops near rest", "Turn the bars and lean"].each do |rung|
      expect(session).to have_css("li[aria-current=step]", text: rung)
      session.click_button (rung == "Wait and tap") ? "Nothing came" : "Air came"
    end
    expect(session).to have_css("li[aria-current=step]", text: "Burp at the master")
    2.times do |round|
      more = shown("stubborn", "bleed")["points"].map { |point| point["id"] }
      more.each do |point|
        post("/jobs/stubborn/entries", {id: SecureRandom.uuid, stage: "bleed", kind: "point", data: {point: point}})
        5.times do
          post("/jobs/stubborn/entries", {id: SecureRandom.uuid, stage: "bleed", kind: "topped_up", data: {}})
          post("/jobs/stubborn/entries", {id: SecureRandom.uuid, stage: "bleed", kind: "stroke", data: {}})
        end
        post("/jobs/stubborn/entries",
          {id: SecureRandom.uuid, stage: "bleed", kind: "point_done", data: {point: point}})
      end
      session.refresh
      answer_looks "Last"
      session.click_button "Springy: another round"
      expect(session).to have_css("h2", text: "Stubborn air, round #{round + 2} of 3") if round.zero?
    end
    expect(session).to have_css("[role=alert]", text: "3 full rounds did not make the lever hold: stop guessing.")
    session.click_link "Back to Ask"
    expect(session).to have_content("Master cylinder isolated")
    expect(api("/jobs/stubborn")["current"]).to eq "ask"
  end

  it "an ABS circuit: no push from below is offered, and none is taken" do
    worked("abs", "ridgeline-rear") do |job|
      job.write("ask", "intake", {"question" => "abs", "value" => "fitted"})
      job.write("ask", "intake", {"question" => "abs_tool", "value" => "no"})
      job.answer_stops
      job.write("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
      job.add("ask", "route", {"route" => "bleed"})
      job.choose_what_is_wanted
      job.protect
    end
    open_page "/jobs/abs/bleed"
    expect(session).to have_css("svg[aria-label^='Rear caliper']", text: "ABS")
    expect(session).to have_no_button("Reverse bleed with a syringe")
    session.find("summary", text: "Not used here").click
    expect(session)
      .to have_content("Reverse bleed with a syringe: ABS is fitted or may be: nothing is pushed backwards")
    expect {
      post("/jobs/abs/entries",
        {id: "x", stage: "bleed", kind: "method", data: {method: "reverse_syringe"}})
    }.to raise_error(/nothing is pushed backwards/)
    expect(session).to have_css("ul[aria-label='Before fluid moves']", text: "ABS: the level is watched")
  end
end
