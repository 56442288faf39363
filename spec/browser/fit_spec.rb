# frozen_string_literal: true

require_relative "helper"
require_relative "cylinder_work"
require_relative "fit_work"

RSpec.describe "Fit", :browser do
  include CylinderWorkByHand
  include FitWorkByHand

  # A job “walk”, worked up to Fit beside the page.
  def at_fit(circuit, route, fluid: "dot4")
    worked = JobInMemory.new(Sandbag::Circuit::Sheet.stored(api("/circuits/#{circuit}")["sheet"]))
    worked.answer_stops
    worked.add("ask", "route", {"route" => route})
    yield worked if block_given?
    worked.choose_what_is_wanted(fluid)
    worked.measured unless worked.state.route.apart? || !worked.state.stages.key?("measure")
    worked.set_up.strip_all if worked.state.stages.key?("strip")
    worked.passed if worked.state.route.apart?
    worked.build_all if worked.state.stages.key?("build")
    post("/jobs", {id: "walk", circuit_id: circuit, beside: true})
    answer_stops("walk")
    worked.entries.reject { |given| given.kind == "intake" }.each do |given|
      post("/jobs/walk/entries", {id: "walk-#{given.id}", stage: given.stage, kind: given.kind, data: given.data})
    end
    open_page "/jobs/walk/fit"
  end

  it "puts a radial master back on its bar, by way of a clash at the dry trial" do
    at_fit("ridgeline-front", "reseal_mc")
    expect(session).to have_css("[data-figure='step']", text: "Trial fit, dry")
    session.find("button[aria-haspopup=listbox]", text: /\Anothing\z/).click
    session.find("[role=option]", text: "Banjo angle").click
    session.click_button "Back to Choose with it"
    expect(session).to have_css("[role=alert]", text: "Banjo angle clashed at the dry trial.")
    expect(session).to have_button("It fits, nothing clashes", disabled: true)

    session.click_link "Choose", exact: false, match: :first
    expect(session).to have_css("h2", text: "From the dry trial")
    session.fill_in "What goes on instead", with: "ends of 20 degrees, as on the other machine\n"
    expect(session).to have_no_css("h2", text: "From the dry trial")
    session.click_link "Fit", exact: false, match: :first
    fit_by_hand
    expect(session).to have_link("Go on to Bleed")
    expect(fit_now["washers"].first).to include("wanted" => 3, "new" => 3)

    # too tight: said by name, and what it means
    session.click_button "Tighten: Pivot lock nut"
    take_wrench(20)
    session.fill_in "Torque read: Pivot lock nut", with: "9 Nm\n"
    session.click_button "Tighten: Pivot lock nut"
    expect(session).to have_css("[role=alert]", text: "Over the range. Hold the bolt, slacken the nut")
    expect(session).to have_no_link("Go on to Bleed")

    # a wrench that cannot show it is refused, and what was typed stays to be seen
    session.fill_in "Full scale of the wrench in hand", with: "120 Nm\n"
    until_api { fit_now.dig("wrench", "scale") == 120 }
    session.fill_in "Torque read: Pivot lock nut", with: "6 Nm\n"
    expect(session).to have_content("is under a fifth of a wrench that reads to 120 N·m")
    expect(session).to have_content("6 N·m was typed")
    session.click_button "Understood"
    session.fill_in "Full scale of the wrench in hand", with: "20 Nm\n"
    until_api { fit_now.dig("wrench", "scale") == 20 }
    session.click_button "Tighten: Pivot lock nut"
    session.fill_in "Torque read: Pivot lock nut", with: "53 in-lb\n"
    expect(session).to have_link("Go on to Bleed")
  end

  it "puts a kart pedal pump back with its rod, second link and stop, and measures its play at the pedal" do
    at_fit("drift-brake", "reseal_mc")
    expect(session).to have_content("Second link on")
    fit_steps
    session.fill_in "Free play at the tip", with: "0\n"
    expect(session).to have_css("[role=alert]", text: "No free play. The port stays shut")
    fit_hoses
    fit_washers
    fit_torques
    fit_play
    expect(session).to have_content("1.7 mm at the piston, by the ratio.").or have_content(
           "mm at the piston, by the ratio."
         )
    check = fit_now["checks"].find { |each| each["id"] == "second_link" }
    session.find("[role=radiogroup]", text: check["label"], visible: :all).find("label", text: "Not right").click
    until_api { fit_now["checks"].find { |each| each["id"] == "second_link" }["pass"] == false }
    fitting = job_now["stages"].find { |stage| stage["id"] == "fit" }
    expect(fitting["unresolved"]).to eq "second link on: not right"
    fit_checks
    session.fill_in "Tilt at rest, bars straight", with: "12\n"
    expect(session).to have_content("In steady cornering it comes to 57°")
    fit_switch
    fit_steps
    fit_scrap
    expect(session).to have_link("Go on to Bleed")
  end

  it "fits an added hand master beside the foot lever, its hose laid through full lock" do
    post("/machines/scree/circuits", {id: "spare-rear", name: "Spare rear", template: "road_rear"})
    at_fit("spare-rear", "add_mc") do |worked|
      worked.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
      worked.add("choose", "cylinder",
        {"bore" => 12.7, "push_offset" => 20, "agreed" => "a control that was not there"})
    end
    expect(fit_now["steps"].first).to include("id" => "dry_trial")
    session.fill_in "Hose to the foot master: Straight ahead", with: "1300\n"
    expect(session).to have_content("the trial fit, dry, comes first")
    session.click_button "Understood"
    fit_steps
    session.fill_in "Hose to the foot master: Straight ahead", with: "1300\n"
    expect(session).to have_css("[role=alert]", text: "too short")
    fit_by_hand
    expect(session).to have_link("Go on to Bleed")
    expect(shown("walk", "fit")["hoses"].first["verdict"]).to eq "fine"
  end

  # To a field by the tabulator alone, as without a mouse.
  def tab_to(label)
    300.times do
      # as the keyboard, not to an element: a file field would take it for a path
      session.driver.browser.action.send_keys(:tab).perform
      return if session.evaluate_script(<<~JS) == label
        (() => { const at = document.activeElement;
          const named = at.getAttribute("aria-label") ?? at.labels?.[0]?.textContent ?? at.textContent;
          return named.trim(); })()
      JS
    end
    raise "no way to “#{label}” by tabulator"
  end

  def type_into(label, text)
    tab_to(label)
    press [:control, "a"], text, :enter
  end

  it "shortens a bicycle hose and joins it again, by keys alone" do
    at_fit("packmule-front", "reend_hose", fluid: "mineral")
    fit_steps
    hose = fit_now["hoses"].first
    hose["positions"].each { |position| type_into("#{hose["label"]}: #{position["label"]}", "900") }
    type_into("#{hose["label"]}: its length, end to end", "930")
    type_into("#{hose["label"]}: tightest bend, radius", "60")
    until_api { fit_now["hoses"].first["due"].empty? }
    expect(session).to have_content("Needs 915 mm, 15 mm to spare")
    fit_now["washers"].each do |stack|
      type_into("Old out: #{stack["label"]}", stack["wanted"].to_s)
      type_into("New in: #{stack["label"]}", stack["wanted"].to_s)
    end
    until_api { fit_now["washers"].all? { |stack| stack["done"] } }
    while (line = torques_now.first)
      press :escape
      aim = line["range"]["aim_nm"]
      type_into("Full scale of the wrench in hand", format("%g", 2 * aim))
      until_api { fit_now.dig("wrench", "scale") == 2 * aim }
      press :escape, "t"
      press format("%g", aim), :enter
      until_api { torques_now.first&.fetch("id") != line["id"] }
    end
    tab_to("Good")
    press :space
    until_api { fit_now["checks"].all? { |check| check["pass"] } }
    expect(session).to have_link("Go on to Bleed")
    expect(browser_faults).to be_empty
  end
end
