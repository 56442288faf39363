# frozen_string_literal: true

# How smoothly Practice is drawn on this machine's headless Chromium while lever and nipple are worked: bench/frames.rb.
# Prints frames a second, the share of the main thread's time that is spent in tasks over 50 ms, and how long after a
# key went down its effect was drawn.
require_relative "../app/boot"
require_relative "../spec/support/served"
require_relative "../spec/support/browser"

SECONDS = 8
COUNT = <<~JS
  window.frames_seen = []; window.long_tasks = [];
  new PerformanceObserver(list => list.getEntries().forEach(each => window.long_tasks.push(each.duration)))
    .observe({entryTypes: ["longtask"]});
  const seen = at => { window.frames_seen.push(at); requestAnimationFrame(seen); };
  requestAnimationFrame(seen);
  const drawing = document.querySelector("svg[role='img']");
  window.changed = [];
  new MutationObserver(() => window.changed.push(performance.now()))
    .observe(drawing, {attributes: true, subtree: true, childList: true});
  window.pressed = [];
  window.addEventListener("keydown", event => event.repeat || window.pressed.push(performance.now()), {capture: true});
JS

served = Served.new
browser = Browser.register.driver.browser
browser.get("#{served.url}/practice")
sleep 2
browser.find_element(css: "[aria-label='Start: Twin discs']").click
sleep 1
browser.execute_script(COUNT)
(SECONDS / 2).times do
  browser.action.key_down(:space).perform
  sleep 0.5
  browser.action.send_keys("n").perform
  sleep 0.7
  browser.action.send_keys("n").perform
  browser.action.key_up(:space).perform
  sleep 0.8
end
frames, long, changed, pressed =
  %w[frames_seen long_tasks changed pressed].map { |name| browser.execute_script("return window.#{name}") }
gaps = frames.each_cons(2).map { |one, other| other - one }.sort
span = frames.last - frames.first
seen = pressed.filter_map { |at| changed.find { |each| each > at }&.-(at) }.sort
puts format("%.1f frames a second, 95 %% within %.1f ms, the longest %.1f", 1000 * gaps.size / span,
  gaps[(gaps.size * 0.95).floor], gaps.last)
puts format("tasks over 50 ms: %d, %.1f %% of the time", long.size, 100.0 * long.sum / span)
puts format("a key is seen after %.0f ms at the median, %.0f at the most", seen[seen.size / 2], seen.last)
browser.quit
served.remove
