# frozen_string_literal: true

require_relative "helper"

RSpec.describe "The day", :browser do
  # At any hour of the server's, it is between nine and ten in the morning where the page is.
  before do
    ahead = (9 - Time.now.utc.hour + 12) % 24 - 12
    session.driver.browser.execute_cdp("Emulation.setTimezoneOverride", timezoneId: format("Etc/GMT%+d", -ahead))
    open_page "/"
    session.find("label", text: "Plan for today").click
    session.fill_in "The day ends at", with: "23:59\n"
    expect(session).to have_css("ol[aria-label='Plan for today'] li")
  end

  def rows
    session.all("ol[aria-label='Plan for today'] li").map(&:text)
  end

  it "is planned: what is finished and when, what will not fit, what is not on this bench" do
    expect(session).to have_content(/\d+ finished by \d\d:\d\d/)
    expect(session).to have_content("Not in the shop: Corvane Ridgeline 900: Rear brake.")
    expect(session).to have_css("svg[aria-label^='Plan of the day: bench 1']")
    expect(rows.join).to include("first leak watch", "then 10 min wait")
  end

  it "is planned for more benches, and they are remembered" do
    session.find("label", text: "2", exact_text: true).click
    expect(session).to have_css("svg[aria-label*='bench 2']")
    open_page "/"
    session.find("label", text: "Plan for today").click
    expect(session).to have_css("svg[aria-label*='bench 2']")
  end

  it "goes round a piece that is put by hand, and lets it go again" do
    row = session.all("ol[aria-label='Plan for today'] li").first
    name = row.find("a").text
    field = row.find("input", match: :first)
    hours, minutes = field.value.split(":").map(&:to_i)
    later = Time.utc(2026, 1, 1, hours, minutes) + 2 * 3600
    field.set("#{later.strftime("%H:%M")}\n")
    expect(session).to have_button("#{name}: unpin from #{later.strftime("%H:%M")}")
    session.click_button "#{name}: unpin from #{later.strftime("%H:%M")}"
    expect(session).to have_no_button("#{name}: unpin from #{later.strftime("%H:%M")}")
  end

  it "opens a job from its row" do
    session.all("ol[aria-label='Plan for today'] li a").first.click
    expect(session).to have_current_path(%r{^/jobs/})
  end
end
