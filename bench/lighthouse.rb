# frozen_string_literal: true

# What Lighthouse makes of the main rooms on this machine's Chromium, for a desktop and for a slow telephone:
# bench/lighthouse.rb. Lighthouse is fetched by npx when it is first asked for; it is no part of Sandbag. OVER marks a
# missed aim. Each room is looked at three times, and the middle score counts. Run nothing beside it.
#
# Lighthouse makes a telephone of a machine by slowing it down four times, which is meant for a fast desktop: a slow
# machine becomes a telephone slower than any. So its speed is measured first, and it is slowed down by as much less.
require_relative "../app/boot"
require_relative "../spec/support/served"
require "json"
require "open3"
require "tmpdir"

LIGHTHOUSE = "lighthouse@12.8.2"
FLAGS = "--headless=new --no-sandbox --disable-gpu"
ROOMS = {
  "bench" => "/",
  "bleed" => "/jobs/job-tourer-front/bleed",
  "choose" => "/jobs/job-scooter/choose",
  "sizer" => "/sizer",
  "machine" => "/machines/ridgeline"
}.freeze
AIMS = {"desktop" => 98, "mobile" => 85}.freeze
# The speed of a fast desktop by Lighthouse's own index, the middle of 1,500 to 2,000, and what makes it a telephone.
FAST_DESKTOP = 1750.0
SLOWDOWN = 4.0
# Aim of the other categories.
WHOLE = 100
TIMES = %w[first-contentful-paint largest-contentful-paint total-blocking-time cumulative-layout-shift].freeze

TIMES_LOOKED = 3
# Now and then Chromium records nothing of a page, and Lighthouse ends without a report.
MOST_TRIES = 2 * TIMES_LOOKED

# @return [Hash, nil]
def report(address, given)
  Dir.mktmpdir do |folder|
    _, fault, status =
      Open3.capture3({"CHROME_PATH" => "/usr/bin/chromium"}, "npx", "--yes", LIGHTHOUSE, address, *given, "--quiet",
        "--chrome-flags=#{FLAGS}", "--only-categories=performance,accessibility,best-practices", "--output=json",
        "--output-path=#{folder}/report.json")
    status.success? ? JSON.parse(File.read("#{folder}/report.json")) : warn("Lighthouse: #{fault}")
  end
end

def middle(address, given)
  (1..MOST_TRIES).lazy.filter_map { report(address, given) }.first(TIMES_LOOKED)
    .sort_by { |found| found["categories"]["performance"]["score"] }[TIMES_LOOKED / 2]
end

def line(device, room, found, aim)
  scores = found["categories"].transform_values { |category| (category["score"] * 100).round }
  times = TIMES.map { |id| found["audits"][id]["displayValue"] }
  met = scores["performance"] >= aim && scores.except("performance").values.all?(WHOLE)
  format("%-8s %-8s %s   paint %s, largest %s, blocked %s, shift %s   %s", device, room,
    scores.map { |name, score| "#{name} #{score}" }.join("  "), *times, met ? "within #{aim}" : "OVER #{aim}")
end

served = Served.new
at = ->(path) { "http://127.0.0.1:#{served.port}#{path}" }
index = middle(at["/"], [])["environment"]["benchmarkIndex"]
slowdown = (SLOWDOWN * index / FAST_DESKTOP).clamp(1, SLOWDOWN).round(1)
puts "index of this machine #{index.round}: slowed down #{slowdown} times for a telephone"
given = {"desktop" => ["--preset=desktop"], "mobile" => ["--throttling.cpuSlowdownMultiplier=#{slowdown}"]}
AIMS.each do |device, aim|
  ROOMS.each { |room, path| puts line(device, room, middle(at[path], given[device]), aim) }
end
served.remove
