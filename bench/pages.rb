# frozen_string_literal: true

# How long each page is with the demonstration's data, at 1280 × 800 and on a phone, whether it is wider than the
# screen, and the smallest letters of its drawings there: bench/pages.rb. OVER marks a missed aim: 1,600 px for a page
# of a job at 1280, 12 px for the letters of a drawing on a phone.
require_relative "../app/boot"
require_relative "../spec/support/served"
require_relative "../spec/support/browser"

JOBS = {
  "ask" => "job-clutch", "choose" => "job-scooter", "strip" => "job-cargo-front", "measure" => "job-sledge",
  "build" => "job-cargo-rear", "fit" => "job-scree-front", "bleed" => "job-tourer-front", "feel" => "job-kart",
  "close" => "job-kart"
}.freeze
PATHS = {
  "bench" => "/", "machine" => "/machines/ridgeline", "shelf" => "/shelf", "sizer" => "/sizer",
  "practice" => "/practice", "shop" => "/shop", "look up" => "/look-up",
  **JOBS.to_h { |stage, job| [stage, "/jobs/#{job}/#{stage}"] }
}.freeze
MOST_HIGH = 1600
LEAST_LETTER = 12
SCREENS = {"1280" => [1280, 800], "phone" => [390, 844]}.freeze

# The height that letters have on the screen, in a drawing that is scaled.
LETTERS = <<~JS
  [...document.querySelectorAll("svg text")]
    .filter(text => text.textContent.trim() && text.checkVisibility() && text.getBoundingClientRect().width > 0)
    .map(text => ({
      px: parseFloat(getComputedStyle(text).fontSize) * (text.getScreenCTM()?.a ?? 1),
      said: text.textContent.trim().slice(0, 20)
    }))
    .sort((a, b) => a.px - b.px)[0]
JS

def look(session, width, height)
  session.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
    deviceScaleFactor: 1, mobile: width < 500)
  sleep 0.5
  {high: session.evaluate_script("document.documentElement.scrollHeight"),
   wide: session.evaluate_script("document.documentElement.scrollWidth"),
   letter: session.evaluate_script(LETTERS)}
end

served = Served.new
session = Browser.register
puts format("%-10s%10s%12s%12s   %s", "page", *SCREENS.keys.map { |name| "#{name} px" }, "letters px", "")
PATHS.each do |name, path|
  session.visit(served.url + path)
  session.has_css?("h1")
  session.has_no_content?("Fetching…")
  found = SCREENS.transform_values { |size| look(session, *size) }
  faults = []
  faults << "OVER #{MOST_HIGH}" if JOBS.key?(name) && found["1280"][:high] > MOST_HIGH
  faults << "WIDER than the phone" if found["phone"][:wide] > SCREENS["phone"].first
  letter = found["phone"][:letter]
  faults << "letters UNDER #{LEAST_LETTER}: #{letter["said"]}" if letter && letter["px"] < LEAST_LETTER - 0.05
  puts format("%-10s%10d%12d%12s   %s", name, found["1280"][:high], found["phone"][:high],
    letter ? letter["px"].round(1) : "-", faults.join(", "))
end
session.quit
served.remove
