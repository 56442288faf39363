# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Practice", :browser do
  before do
    stop_time
    open_page "/practice"
  end

  # Space as a foot switch holds it.
  def hold_lever(seconds)
    session.driver.browser.action.key_down(:space).perform
    move_time seconds
    yield if block_given?
  ensure
    session.driver.browser.action.key_up(:space).perform
    move_time 0.7
  end

  def hold(key, seconds)
    session.driver.browser.action.key_down(key).perform
    move_time seconds
  ensure
    session.driver.browser.action.key_up(key).perform
    move_time 0.3
  end

  # What a key does is sent with the next tick.
  def press(*keys)
    super
    move_time 0.2
  end

  it "does a lesson well, by keys: hold, open, pull through, shut, let go" do
    session.click_button "Start: One caliper"
    expect(session).to have_content("Simulated. Nothing here touches a machine or the record.")
    expect(session).to have_css("g[data-slug]")
    6.times do
      hold_lever(0.5) do
        press "n"
        move_time 1.2
        press "n"
      end
      expect(session).to have_button("Open the nipple (N)")
      press "t"
    end
    press "f"
    expect(session).to have_content("Clear of air")
    expect(session).to have_content("No slip was made.")
    expect(session).to have_css("table[aria-label='Beside a good hand']")
    expect(axe_violations).to be_empty
  end

  # Every test there is, until nothing is left.
  def try_everything
    session.click_button "Every test"
    session.all("button", text: /, \d+ min\z/).map(&:text).each do |name|
      session.click_button name
      expect(session).to have_no_button(name, exact: true)
    end
  end

  # The hand on the mouse; Selenium's own lets go of what it drags between two of its actions.
  def mouse(type, x, y)
    session.driver.browser.execute_cdp("Input.dispatchMouseEvent", type: type, x: x, y: y, button: "left",
      buttons: (type == "mouseReleased") ? 0 : 1, clickCount: 1)
  end

  it "pulls the lever by dragging it, the nipple by a key meanwhile, and tells what was done well" do
    session.click_button "Start: One caliper"
    expect(session).to have_css("g[data-slug]")
    x, y = session.evaluate_script("(({x, y, width, height}) => [x + width / 2, y + height / 2])" \
      "(document.querySelector(\"path[stroke='transparent']\").getBoundingClientRect())")
    mouse "mousePressed", x, y
    mouse "mouseMoved", x, y + 35
    move_time 1.5
    expect(session).to have_css("svg[aria-label*='lever 50 % in']")
    press "n"
    mouse "mouseMoved", x, y + 75
    move_time 1.5
    expect(session).to have_css("svg[aria-label*='lever 100 % in']")
    press "n"
    mouse "mouseReleased", x, y + 75
    move_time 0.5
    expect(session).to have_css("svg[aria-label*='lever 0 % in']")
    expect(session.find("[data-figure='jar']").text.to_f).to be_between(0.3, 1.5)
    press "f"
    expect(session).to have_css("li", text: "Every nipple was shut before the lever came back.")
  end

  it "finds what is wrong with a mystery lever, on Ask's own screen" do
    session.click_button "Mystery lever"
    expect(session).to have_css("h2", text: "Next best test")
    best = session.first("[aria-label^='Try: ']")["aria-label"]
    session.click_button best
    expect(session).to have_no_button(best)
    expect(session).to have_css("ul[aria-label='Found so far'] button", text: best.delete_prefix("Try: "))
    try_everything
    likeliest = session.first("ol[aria-label='Causes, likeliest first'] summary span").text
    session.click_button likeliest, exact: true
    expect(session).to have_css("h2", text: "Right")
    expect(session).to have_content("Put right by:")
    expect(session).to have_content(/Named after \d+ tests/)
    expect(session).to have_no_css("h2", text: "Next best test")
    expect(axe_violations).to be_empty
  end

  it "looks for what is wrong with a clutch, whose slave may be short of lift" do
    session.find("button[aria-haspopup=listbox]").click
    session.find("[role=option]", text: "Clutch", exact_text: true, match: :first).click
    session.click_button "Mystery lever"
    expect(session).to have_content("Clutch. Try, and name what is wrong")
    session.click_button "Every test"
    session.click_button "Lift at the slave, 20 min"
    expect(session).to have_css("ul[aria-label='Found so far'] button", text: "Lift at the slave")
    expect(session).to have_content("1 test, 20 min so far.")
  end

  it "burps a master by keys, its joint slack while the lever goes on" do
    session.click_button "Start: Burp at the master"
    expect(session).to have_css("g[data-slug]")
    3.times do
      hold_lever(0.5) { press "j" }
      press "t"
    end
    press "f"
    expect(session).to have_content("Clear of air")
  end

  it "has an ABS tool cycle the valves, and says what stayed behind them" do
    session.click_button "Start: Air in the ABS unit"
    expect(session).to have_content("ABS unit, air behind its valves")
    press "a"
    expect(session).to have_css("g[data-slug]", minimum: 2)
    press "f"
    expect(session).to have_content("Air is left")
    expect(session).to have_no_content("behind the ABS unit's valves")
    session.click_button "Once more"
    expect(session).to have_content("ABS unit, air behind its valves")
    press "f"
    expect(session).to have_content("0.30 mL behind the ABS unit's valves")
  end

  it "boils wet fluid down a pass, and leaves a valve open without a slip" do
    session.click_button "Start: Down the pass"
    session.click_button "With the pen"
    expect(session).to have_css("[role=status]", text: /\A[34]\.\d %/)
    session.click_button "Brake down the pass"
    move_time 0.2
    expect(session).to have_css("[data-figure='celsius']", text: /1[6-9]\d/)
    expect(session).to have_content("boils")
    press "f"
    expect(session).to have_content("Old fluid is left")
    session.click_button "Other lessons"
    session.click_button "Start: Alone with a one-way valve"
    session.find("label", text: "One-way valve").click
    move_time 0.2
    press "n"
    4.times { hold_lever(1.4) && press("t") }
    press "n"
    press "f"
    expect(session).to have_content("No slip was made.")
  end

  it "pushes from below with a syringe, by keys, and keeps the result by name" do
    session.fill_in "Who practises", with: "Ines\n"
    session.click_button "Start: Bicycle with two syringes"
    expect(session).to have_css("g[data-slug]")
    hold("p", 0.5)
    press "r"
    press "n"
    3.times do
      hold("p", 1.2)
      press "r"
    end
    press "n"
    expect(session).to have_button("Open the nipple (N)")
    press "f"
    expect(session).to have_content("Pushed against a shut nipple, 1 ×.")
    session.click_button "Other lessons"
    lesson = session.find("ul[aria-label='Lessons'] li", text: "Bicycle with two syringes")
    expect(lesson).to have_content("0 of 2 in a row, 1 try")
    expect(session).to have_content("0 of 26 lessons passed: done twice in a row without a slip.")
    expect(session).to have_content("Next: One caliper, four strokes.")
    expect(api("/practice/results?name=Ines")["items"]).to match [a_hash_including("slips" => 1, "exam" => false)]
    session.fill_in "Who practises", with: "Oskar\n"
    expect(lesson).to have_no_content("in a row")
  end

  it "starts any circuit dry, hides its bubbles in a braided line, and reads its lever by the gauge" do
    session.click_button "From dry"
    expect(session).to have_css("g[data-slug]", minimum: 10)
    session.find("label", text: "Line as it is").click
    expect(session).to have_no_css("g[data-slug]")
    session.click_button "With the gauge"
    expect(session).to have_content(/the lever only pushes its spring|Feel cannot tell|of air, /)
    session.find("label", text: "Line as glass").click
    session.click_button "Finish (F)"
    session.click_button "Other lessons"
    session.click_button "Spongy"
    session.click_button "With the gauge"
    expect(session).to have_content("Simulated lever gauge")
    expect(session).to have_content("of air, ")
    expect(axe_violations).to be_empty
  end

  it "does one badly, is told at once, and what a good hand would do now" do
    session.click_button "Start: A bubble half way"
    expect(session).to have_css("g[data-slug]")
    press "h"
    expect(session).to have_css("[data-hint]", text: "Hold: lever in, steady.")
    press "n"
    hold_lever(1.5)
    expect(session).to have_css("[role=alert]", text: "Released with the nipple open.")
    press "h"
    expect(session).to have_css("[data-hint]", text: /Close|Hold/)
    expect(axe_violations).to be_empty
  end

  it "does one badly as an exam, and is told afterwards and not before" do
    session.find("label", text: "As an exam").click
    session.click_button "Start: A bubble half way"
    expect(session).to have_css("g[data-slug]")
    press "n"
    hold_lever(1.5)
    expect(session).to have_no_content("drew air in")
    press "n"
    press "f"
    expect(session).to have_content("Air is left")
    expect(session).to have_content("Released with the nipple open")
    session.click_button "Once more"
    expect(session).to have_button("Finish (F)")
  end
end
