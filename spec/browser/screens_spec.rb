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

  it "has nothing for axe to find, in either theme, and no fault in the console" do
    open_page "/"
    found = %w[light dark].flat_map do |name|
      theme(name)
      screens.flat_map do |screen, path|
        open_page path
        axe_violations.map { |violation| "#{screen}, #{name}: #{violation}" }
      end
    end
    expect(found).to be_empty, found.join("\n")
    expect(browser_faults).to be_empty
  end

  # @return [Array<String>] what stands out of the page on the right, of those that reach furthest
  def out_of_page
    session.evaluate_script(<<~JS)
      document.documentElement.scrollWidth <= innerWidth ? [] :
        [...document.querySelectorAll("body *")].filter((each) => each.getBoundingClientRect().right > innerWidth + 1)
          .slice(-3).map((each) => each.tagName + " " + each.textContent.slice(0, 40))
    JS
  end

  {"a narrow tablet" => [820, 1100], "a screen at twice its size" => [640, 400], "a phone" => [390, 844]}
    .each do |device, (width, height)|
      it "fits #{device} without scrolling sideways" do
        screen_of(width, height)
        wide = screens.filter_map do |screen, path|
          open_page path
          "#{screen}: #{out_of_page.join("; ")}" if out_of_page.any?
        end
        expect(wide).to eq []
      end
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
    open_page "/"
    found = %w[light dark].flat_map do |name|
      theme(name)
      screens.slice("ask", "measure", "fit", "close").flat_map do |screen, path|
        open_page path
        axe_violations.map { |violation| "#{screen}, #{name}: #{violation}" }
      end
    end
    expect(found).to be_empty, found.join("\n")
  end

  it "has nothing for axe to find on a phone" do
    screen_of(390, 844)
    open_page "/"
    theme("dark")
    found = screens.flat_map do |screen, path|
      open_page path
      axe_violations.map { |violation| "#{screen}: #{violation}" }
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
