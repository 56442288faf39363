# frozen_string_literal: true

require_relative "helper"

RSpec.describe "A cycle, step by step", :browser do
  before do
    open_page "/jobs/job-tourer-front/bleed"
    expect(session).to have_css("[data-figure='strokes']", text: "7")
    press "t"
    session.find("label", text: "One key a step").click
    session.find("h1").click
  end

  def turn(beat)
    expect(session).to have_css("button[aria-current=step]", text: beat)
  end

  it "is led by one key, and counted at its end" do
    %w[Hold Open Close Release].each do |beat|
      turn beat
      press :space
    end
    turn "Hold"
    expect(figure("strokes")).to eq 8
  end

  it "catches a lever that comes back with the nipple open, and a step that was left out" do
    press "1", "2", "4"
    expect(session).to have_css("[role=alert]", text: "The lever came back with the nipple open")
    expect(session).to have_content("the last 0 without a bubble")
    press "3"
    expect(session).to have_css("[role=alert]", text: "“Hold” was left out before “Close”")
    expect(session).to have_content("2 so far")
    press "u"
    expect(session).to have_no_content("2 so far")
    expect(figure("strokes")).to eq 7
  end

  it "keeps five cycles through a dead server and a reload, with its warnings in time", worker: true do
    until_api { shown("job-tourer-front", "bleed")["reservoir"]["strokes_since_top_up"].zero? }
    wait_until_kept "/", "/api/jobs/job-tourer-front", "/api/jobs/job-tourer-front/stages/bleed"
    served.stop("KILL")
    4.times { press "1", "2", "3", "4" }
    expect(session).to have_css("[role=alert]", text: "Top up now, nipple shut.")
    press "1", "2", "3", "4"
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    session.refresh
    expect(session).to have_css("[data-figure='strokes']", text: "12")
    served.start
    expect(session).not_to have_content("Offline")
    until_api { shown("job-tourer-front", "bleed")["total_strokes"] == 12 }
    expect(session).to have_css("[data-figure='strokes']", text: "12")
  end

  it "speaks the strokes to go, sounds tones, or is silent, as it was left" do
    session.execute_script(<<~JS)
      window.said = [];
      window.speechSynthesis.speak = utterance => window.said.push(utterance.text);
    JS
    session.find("label", text: "One key a cycle").click
    session.find("h1").click
    press "e"
    expect(session).to have_button("Spoken")
    press :space, :space, :space
    expect(session).to have_css("[data-figure='strokes']", text: "10")
    expect(session.evaluate_script("window.said")).to eq(
      ["3 to go.", "2 to go. Top up in 2.", "1 to go. Top up in 1."]
    )
    press "e"
    expect(session).to have_button("Tones")
    session.refresh
    expect(session).to have_button("Tones")
  end
end
