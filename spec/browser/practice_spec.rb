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

  def shut?
    session.has_button?("Open a quarter turn (N)", wait: 2)
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
    expect(session).to have_content("tells most")
    session.all("[aria-label^='Try: ']").map { |button| button["aria-label"] }.each do |name|
      session.click_button name
      expect(session).to have_no_button(name)
    end
    likeliest = session.first("ol[aria-label='Causes'] li").text.sub(/\A\d+ % +/, "")
    session.click_button likeliest
    expect(session).to have_css("h2", text: "Right")
    expect(session).to have_content("Put right by:")
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
