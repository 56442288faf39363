# frozen_string_literal: true

# Takes the pictures in this folder afresh from the demonstration data: bin/screenshots [name …]. With a folder in
# SHOTS, takes them there, in the theme THEME and the size SIZE (WIDTHxHEIGHT).
require_relative "../../app/boot"
require_relative "../../spec/support/served"
require_relative "../../spec/support/browser"
require "fileutils"

VIEWS = {
  "bench" => "/", "look-up" => "/look-up?find=banjo", "machine" => "/machines/ridgeline",
  "fit" => "/jobs/job-scree-front/fit",
  "practice" => "/practice", "ask" => "/jobs/job-clutch/ask",
  "choose" => "/jobs/job-scooter/choose", "shelf" => "/shelf", "strip" => "/jobs/job-cargo-front/strip",
  "measure" => "/jobs/job-sledge/measure", "build" => "/jobs/job-cargo-rear/build",
  "bleed" => "/jobs/job-tourer-front/bleed", "bleed-phone" => "/jobs/job-tourer-front/bleed",
  "bench-view-dark" => "/jobs/job-tourer-front/bleed",
  "sizer" => "/sizer?circuit=apex-front", "shop" => "/shop", "feel" => "/jobs/job-kart/feel",
  "close" => "/jobs/job-kart/close", "signed" => "/jobs/job-bicycle/close"
}.freeze

# What is pressed before the picture is taken.
PRESSED = {"practice" => "Start: Twin discs with a high loop", "bench-view-dark" => "Bench view"}.freeze

# A window is never as narrow as a phone.
PHONE = {width: 390, height: 844, deviceScaleFactor: 1, mobile: true}.freeze

def theme_of(name)
  name.end_with?("-dark") ? "dark" : ENV.fetch("THEME", "light")
end

width, height = ENV.fetch("SIZE", "1280x800").split("x").map(&:to_i)
folder = ENV.fetch("SHOTS", __dir__)
wanted = ARGV.empty? ? VIEWS.keys : ARGV
served = Served.new
session = Browser.register(width: width, height: height)
session.visit(served.url)
session.driver.browser.manage.window.resize_to(width, height)
inner = session.evaluate_script("innerHeight")
session.driver.browser.manage.window.resize_to(width, height * 2 - inner)
wanted.each do |name|
  session.execute_script("localStorage.setItem('sandbag.light', arguments[0])", theme_of(name))
  device = name.end_with?("-phone") ? ["setDeviceMetricsOverride", PHONE] : ["clearDeviceMetricsOverride", {}]
  session.driver.browser.execute_cdp("Emulation.#{device.first}", **device.last)
  session.visit(served.url + VIEWS.fetch(name))
  session.has_css?("h1") || warn("#{name}: no heading")
  session.has_no_content?("Fetching…")
  session.click_button(PRESSED[name]) if PRESSED.key?(name)
  sleep 0.7
  session.execute_script("scrollTo(0, Number(arguments[0]))", ENV.fetch("SCROLL", "0"))
  session.save_screenshot("#{folder}/#{name}.png")
  session.driver.browser.logs.get(:browser).each { |line| warn "#{name}: #{line.message}" }
end
session.quit
served.remove
