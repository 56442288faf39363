# frozen_string_literal: true

# How long after a key went down its effect is drawn, on a telephone's processor and screen: bench/keys.rb [SLOWDOWN].
# OVER marks a missed aim. This machine is slowed down as bench/lighthouse.rb says; run nothing beside it.
require_relative "../app/boot"
require_relative "../spec/support/served"
require_relative "../spec/support/browser"

AIM_MS = 50
TIMES = 12
# Name => path, what has the focus (nil: nothing), and the keys pressed one after the other.
ROOMS = {
  "bleed: a stroke" => ["/jobs/job-tourer-front/bleed", nil, [" "]],
  "bleed: topped up, back" => ["/jobs/job-tourer-front/bleed", nil, %w[t u]],
  "feel: a figure" => ["/jobs/job-kart/feel", "main input[type=text]", %w[1 2]],
  "look it up: a letter" => ["/look-up", "main input", %w[t o]],
  "sizer: a letter" => ["/sizer", "main input[type=text]", %w[1]]
}.freeze
WATCH = <<~JS
  window.keys = [];
  const root = document.querySelector("#root") ?? document.body;
  let pressed = null;
  addEventListener("keydown", (event) => { pressed = event.timeStamp; }, { capture: true });
  const seen = () => {
    if (pressed === null) return;
    const from = pressed;
    pressed = null;
    requestAnimationFrame(() => { const drawn = new MessageChannel(); drawn.port1.onmessage = () =>
      window.keys.push(performance.now() - from); drawn.port2.postMessage(0); });
  };
  new MutationObserver(seen).observe(root, { attributes: true, subtree: true, childList: true, characterData: true });
  root.addEventListener("input", seen);
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
  middle = seen[seen.size / 2]
  puts format("%-26s %3d seen, %4.0f ms at the median, %4.0f at the most   %s", name, seen.size, middle, seen.last,
    (middle <= AIM_MS) ? "within #{AIM_MS}" : "OVER #{AIM_MS}")
end
browser.quit
served.remove
