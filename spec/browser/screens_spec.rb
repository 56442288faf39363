# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Every screen", :browser do
  screens = {
    "bench" => "/", "machines" => "/machines", "a brake" => "/machines/ridgeline", "a clutch" => "/machines/scree",
    "ask" => "/jobs/job-clutch/ask",
    "a stopped job" => "/jobs/job-tourer-rear/ask", "choose" => "/jobs/job-tourer-front/choose",
    "choose with a kit" => "/jobs/job-scooter/choose", "shelf" => "/shelf", "strip" => "/jobs/job-cargo-front/strip",
    "measure" => "/jobs/job-sledge/measure", "build" => "/jobs/job-cargo-rear/build",
    "fit" => "/jobs/job-scree-front/fit", "sizer" => "/sizer", "practice" => "/practice",
    "shop" => "/shop", "look up" => "/look-up", "found" => "/look-up?find=torque",
    "bleed" => "/jobs/job-tourer-front/bleed",
    "feel" => "/jobs/job-kart/feel", "feel of a clutch" => "/jobs/job-clutch/feel",
    "close" => "/jobs/job-kart/close",
    "a signed job" => "/jobs/job-bicycle/close", "nothing" => "/nowhere"
  }.freeze

  # Narrow screens a page has to fit without scrolling sideways.
  narrow = {
    "a narrow tablet" => [820, 1100], "a screen at twice its size" => [640, 400], "a phone" => [390, 844]
  }.freeze

  it "has nothing for axe to find in either theme or on a phone, and never scrolls sideways" do
    found = screens.flat_map do |screen, path|
      screen_of(1280, 800)
      open_page path
      faults = {"light" => axe_violations}
      turn_the_theme
      faults["dark"] = axe_violations(only: "color-contrast")
      narrow.each do |device, (width, height)|
        screen_of(width, height)
        faults[device] = out_of_page
      end
      faults["a phone, dark"] = axe_violations
      turn_the_theme
      faults.flat_map { |where, all| all.map { |fault| "#{screen}, #{where}: #{fault}" } }
    end
    expect(found).to be_empty, found.join("\n")
    expect(browser_faults).to be_empty
  end

  # @return [Array<String>] what stands out of the page on the right, of those that reach furthest, once it is drawn
  def out_of_page
    session.evaluate_async_script(<<~JS)
      const done = arguments[0];
      const out = () =>
        document.documentElement.scrollWidth <= innerWidth ? [] :
          [...document.querySelectorAll("body *")].filter((each) => each.getBoundingClientRect().right > innerWidth + 1)
            .slice(-3).map((each) => each.tagName + " " + each.textContent.slice(0, 40));
      requestAnimationFrame(() => requestAnimationFrame(() => done(out())));
    JS
  end

  it "keeps each stage short, its first card whole on the screen, where parts are opened one at a time",
    all_parts: false do
    stages = screens.slice("ask", "strip", "measure", "fit", "bleed", "feel", "close", "a signed job")
    long = stages.filter_map do |screen, path|
      open_page path
      height = session.evaluate_script("document.documentElement.scrollHeight")
      card = session.evaluate_script(<<~JS)
        document.querySelector("section[aria-label='Now']")?.getBoundingClientRect().bottom ?? 0
      JS
      "#{screen}: #{height} px, card to #{card}" if height > 1600 || card > 800
    end
    expect(long).to eq []
  end

  it "has nothing for axe to find where parts are folded, in either theme", all_parts: false do
    found = screens.slice("ask", "measure", "fit", "close").flat_map do |screen, path|
      open_page path
      light = axe_violations
      turn_the_theme
      dark = axe_violations(only: "color-contrast")
      turn_the_theme
      (light + dark).map { |violation| "#{screen}: #{violation}" }
    end
    expect(found).to be_empty, found.join("\n")
  end

  it "has targets of at least 48 px where a glove aims" do
    open_page "/jobs/job-tourer-front/bleed"
    unfold "Will it move the air"
    expect(session).to have_css("ul[aria-label='Methods'] button")
    # a word in a sentence is as high as its line
    heights =
      session.evaluate_script(
        "[...document.querySelectorAll('main button:not([data-word]), main label:has(input), " \
          "main :has(> input[type=text])')].map(e => e.getBoundingClientRect().height)"
      )
    expect(heights).not_to be_empty
    expect(heights.min).to be >= 48
  end
end
