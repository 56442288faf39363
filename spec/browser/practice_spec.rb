# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Practice", :browser do
  before { open_page "/practice" }

  # Space as a foot switch holds it.
  def hold_lever(seconds)
    actions = session.driver.browser.action
    actions.key_down(:space).perform
    sleep seconds
    yield if block_given?
  ensure
    session.driver.browser.action.key_up(:space).perform
    sleep 0.7
  end

  def hold(key, seconds)
    session.driver.browser.action.key_down(key).perform
    sleep seconds
  ensure
    session.driver.browser.action.key_up(key).perform
    sleep 0.3
  end

  def shut?
    session.has_button?("Open the nipple (N)", wait: 2)
  end

  it "does a lesson well, by keys: hold, open, pull through, shut, let go" do
    session.click_button "Start: One caliper"
    expect(session).to have_content("Simulated. Nothing here touches a machine or the record.")
    expect(session).to have_css("g[data-slug]")
    6.times do
      hold_lever(0.5) do
        press "n"
        sleep 1.2
        press "n"
      end
      expect(shut?).to be true
      press "t"
    end
    press "f"
    expect(session).to have_content("Clear of air")
    expect(session).to have_content("No slip was made.")
    expect(session).to have_css("table[aria-label='Beside a good hand']")
    expect(axe_violations).to be_empty
  end

  it "finds what is wrong with a mystery lever" do
    session.click_button "Mystery lever"
    expect(session).to have_css("h3", text: "Tells most now")
    session.all("[aria-label^='Try: ']").map { |button| button["aria-label"] }.each do |name|
      session.click_button name
      expect(session).to have_no_button(name)
    end
    likeliest = session.first("ol[aria-label='Causes'] li").text.sub(/\A\d+ % +/, "")
    session.click_button likeliest
    expect(session).to have_css("h2", text: "Right")
    expect(session).to have_content("Put right by:")
    expect(session).to have_content(/Named after \d+ tests/)
    expect(axe_violations).to be_empty
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
    expect(shut?).to be true
    press "f"
    expect(session).to have_content("Pushed against a shut nipple, 1 ×.")
    session.click_button "Other lessons"
    lesson = session.find("ul[aria-label='Lessons'] li", text: "Bicycle with two syringes")
    expect(lesson).to have_content(/Done in \d+ s, 1 slip|Tried, not done/)
    session.fill_in "Who practises", with: "Oskar\n"
    expect(lesson).to have_no_content(/Done|Tried/)
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

  it "does one badly, and is told afterwards and not before" do
    session.click_button "Start: A bubble half way"
    expect(session).to have_css("g[data-slug]")
    press "n"
    hold_lever(1.5)
    expect(session).to have_no_content("drew air in")
    press "n"
    press "f"
    expect(session).to have_content("Air is left")
    expect(session).to have_content("Let go with the nipple open")
    session.click_button "Once more"
    expect(session).to have_button("Finish (F)")
  end
end
