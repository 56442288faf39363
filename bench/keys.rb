# frozen_string_literal: true

# How long after a key went down its effect is drawn, on a telephone's processor and screen: bench/keys.rb [SLOWDOWN].
# OVER marks a missed aim. This machine is slowed down as bench/lighthouse.rb says; run nothing beside it.
require_relative "../app/boot"
require_relative "../spec/support/served"
require_relative "../spec/support/browser"

AIM_MS = 50
TIMES = 12
SHORTEST_MS = 16
# Name => path, what has the focus (nil: nothing), and the keys pressed one after the other.
ROOMS = {
  "bleed: a stroke, back" => ["/jobs/job-tourer-front/bleed", nil, [" ", "u"]],
  "bleed: topped up, back" => ["/jobs/job-tourer-front/bleed", nil, %w[t u]],
  "feel: a figure" => ["/jobs/job-kart/feel", "main input[type=text]", %w[1 2]],
  "look it up: a letter" => ["/look-up", "main input", %w[t o]],
  "sizer: a letter" => ["/sizer", "main input[type=text]", %w[1]]
}.freeze
# From the key to the next picture, as Chromium itself times it, to 8 ms. What it does not tell of took less than 16.
WATCH = <<~JS
  window.keys = [];
  new PerformanceObserver((list) => window.keys.push(...list.getEntries().filter((each) => each.name === "keydown")
    .map((each) => each.duration))).observe({ type: "event", durationThreshold: 16 });
JS

def opened(browser, address, focus)
  browser.get(address)
  sleep 3
  browser.execute_script("document.querySelector(arguments[0]).focus()", focus) if focus
  browser.execute_script(WATCH)
end

served = Served.new
browser = Browser.register.driver.browser
browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: 390, height: 844, deviceScaleFactor: 2, mobile: true)
browser.execute_cdp("Emulation.setCPUThrottlingRate", rate: (ARGV[0] || 4).to_f)
ROOMS.each do |name, (path, focus, keys)|
  opened(browser, "#{served.url}#{path}", focus)
  TIMES.times do |time|
    browser.action.send_keys(keys[time % keys.size]).perform
    sleep 0.8
  end
  seen = browser.execute_script("return window.keys").sort
  next puts "#{name}: nothing was seen" if seen.empty?
  times = Array.new(TIMES - seen.size, SHORTEST_MS) + seen
  middle = times[times.size / 2]
  puts format("%-26s %4.0f ms at the median, %4.0f at the most   %s", name, middle, times.last,
    (middle <= AIM_MS) ? "within #{AIM_MS}" : "OVER #{AIM_MS}")
end
browser.quit
served.remove
