# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Bleeding by foot switch", :browser do
  before do
    open_page "/jobs/job-tourer-front/bleed"
    expect(session).to have_css("[data-figure='strokes']", text: "7")
  end

  it "counts down, warns in time, tops up, and undoes" do
    expect(figure("to-top-up")).to eq 1
    press :space
    expect(session).to have_css("[role=alert]", text: "Top up now, nipple shut.")
    press "t"
    expect(session).to have_css("[data-figure='to-top-up']", text: "4")
    expect(session).not_to have_css("[role=alert]")
    press :space, "u"
    expect(session).to have_css("[data-figure='to-top-up']", text: "4")
    press "b"
    expect(session).to have_css("[data-figure='to-go']", text: "5")
  end

  it "starts over when the port was uncovered, and takes a slip of the key back" do
    press "x"
    expect(session).to have_content("Count started over.")
    expect(session).to have_css("[data-figure='to-go']", text: "11")
    press "u"
    expect(session).not_to have_content("Count started over.")
    expect(session).to have_css("[data-figure='strokes']", text: "7")
  end

  it "counts once however long the switch is held, and not while words are typed" do
    [false, true, true, true].each do |repeat|
      session.execute_script(
        "document.body.dispatchEvent(new KeyboardEvent('keydown', {key: ' ', repeat: arguments[0], bubbles: true}))",
        repeat
      )
    end
    expect(session).to have_css("[data-figure='strokes']", text: "8")
    session.visit("#{served.url}/jobs/job-clutch/ask")
    session.fill_in "What the rider feels, in their own words", with: "drags u x t b\n"
    until_api { shown("job-clutch", "ask")["complaint"] == "drags u x t b" }
  end

  it "shows its keys on ?" do
    press "?"
    expect(session).to have_css("[role=dialog]", text: "A foot switch that types a space works too")
    press :space
    press :escape
    expect(session).not_to have_css("[role=dialog]")
    expect(figure("strokes")).to eq 7
  end

  # Every figure that stood on the page while the strokes went through, read whenever the page changed.
  it "never shows a count that steps back while strokes are taken down" do
    session.execute_script(<<~JS)
      window.seen = [];
      const look = () => window.seen.push(Number(document.querySelector("[data-figure='strokes']").textContent));
      new MutationObserver(look).observe(document.body, {subtree: true, childList: true, characterData: true});
    JS
    5.times do |count|
      press "t", :space
      until_api { shown("job-tourer-front", "bleed")["total_strokes"] == 8 + count }
    end
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    seen = session.evaluate_script("window.seen")
    expect(seen.uniq).to include(8, 12)
    expect(seen).to eq seen.sort
  end

  it "keeps five strokes through a dead server and a reload, and sends each once", worker: true do
    press "t"
    until_api { shown("job-tourer-front", "bleed")["reservoir"]["strokes_since_top_up"].zero? }
    before = api("/jobs/job-tourer-front/entries")["items"].size
    wait_until_kept "/", "/api/jobs/job-tourer-front", "/api/jobs/job-tourer-front/stages/bleed"
    served.stop("KILL")
    press :space, :space, :space, :space, :space
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    expect(session).to have_content("Offline: 5 entries saved on this device")
    session.refresh
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    served.start
    expect(session).not_to have_content("Offline")
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    until_api { api("/jobs/job-tourer-front/entries")["items"].size >= before + 5 }
    items = api("/jobs/job-tourer-front/entries")["items"]
    expect(items.size).to eq before + 5
    expect(items.last(5).map { |entry| entry["kind"] }.uniq).to eq ["stroke"]
    session.refresh
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    expect(api("/jobs/job-tourer-front/entries")["items"].size).to eq before + 5
  end

  it "shows what the server would not have, and keeps it until it was read" do
    session.execute_script(<<~JS)
      localStorage.setItem("sandbag.outbox.bad", JSON.stringify({jobId: "job-tourer-front", order: 1,
        entry: {id: "bad", stage: "bleed", kind: "point_done", data: {point: "caliper_left"}}}))
    JS
    press :space
    expect(session).to have_content("Not recorded: not finished: 9 strokes to go")
    session.click_button "Understood"
    expect(session).not_to have_content("Not recorded")
  end
end
