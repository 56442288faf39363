# frozen_string_literal: true

require "csv"
require "nokogiri"
require "pdf-reader"
require_relative "../support/fell_gate_copy"

RSpec.describe "Files of a job", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  def fetch(path)
    header "Host", "127.0.0.1"
    get "/api#{path}"
    expect(last_response.status).to eq 200
    last_response.body.dup.force_encoding(Encoding::UTF_8)
  end

  def table(path)
    CSV.parse(fetch(path), headers: true).map(&:to_h)
  end

  it "have every reading in the core's units, and say which was taken back" do
    entry("job-kart", "feel", "reading", {"force" => "5 kgf", "travel" => "1 in"}, id: "slip")
    ask(:post, "/jobs/job-kart/entries", {id: "undo", stage: "feel", kind: "undo", data: {}, corrects: "slip"})
    rows = table("/jobs/job-kart/readings.csv")
    expect(rows.last).to include("kind" => "reading", "force_n" => "49.03325", "travel_mm" => "25.4",
      "taken_back" => "yes")
    expect(rows.first).to include("taken_back" => nil)
    expect(rows.size).to eq 9
  end

  it "have a line for each reading of a series" do
    entry("job-kart", "feel", "hold_series", {"times" => "0 10 20 40 60", "travels" => "30 30.2 30.3 30.3 30.3"})
    rows = table("/jobs/job-kart/readings.csv").select { |row| row["kind"] == "hold_series" }
    expect(rows.map { |row| row.values_at("time_s", "travel_mm") }.last).to eq ["60.0", "30.3"]
    expect(rows.size).to eq 5
  end

  it "have every stroke, torque, thing on the shelf and signed job" do
    strokes = table("/jobs/job-bicycle/strokes.csv")
    expect(strokes.count { |row| row["kind"] == "stroke" }).to eq 21
    torque = table("/jobs/job-scree-front/torque.csv")
    expect(torque.find { |row| row["fastener"] == "banjo.master" }).to include("value" => "24.0")
    expect(table("/shelf/shelf.csv").map { |row| row["name"] }).to include "DOT 4, bottle A"
    history = table("/machines/packmule/history.csv")
    expect(history.map { |row| row["job"] }).to eq %w[job-bicycle-1 job-bicycle]
    expect(history.last).to include("route" => "Bleed", "circuit" => "Front brake")
  end

  it "start no formula in a spreadsheet, whatever somebody typed" do
    ["=HYPERLINK(1)", "+1", "-1", "@SUM(A1)", "\t=1"].each_with_index do |evil, index|
      entry("job-kart", "feel", "reading",
        {"force" => 10 + index, "travel" => 20, "instrument" => "x#{evil}".delete_prefix("x")})
    end
    cells = CSV.parse(fetch("/jobs/job-kart/readings.csv")).drop(1).flatten.compact
    expect(cells.grep(/\A[=+@\t]/)).to eq []
    expect(cells.grep(/\A'[=+\-@]/).size).to be >= 4
  end

  it "draw the lever's curves for paper, with every reading, and on the card" do
    svg = Nokogiri::XML(fetch("/jobs/job-bicycle/lever.svg"), &:strict)
    expect(svg.css("circle").size).to eq 8
    expect(svg.css("text").map(&:text)).to include("as it came in", "when it was last good", "fitted to the readings",
      "force, N", "lever travel, mm")
    expect(Nokogiri::XML(fetch("/circuits/ridgeline-front/lever.svg"), &:strict).css("path").size).to be >= 2
    text = PDF::Reader.new(StringIO.new(fetch("/jobs/job-bicycle/card.pdf").b)).pages.map(&:text).join("\n")
    expect(text).to include("as it came in", "lever travel, mm", "Readings")
    header "Host", "127.0.0.1"
    get "/api/circuits/scree-clutch/lever.svg"
    expect(last_response.status).to eq 404
  end

  it "draw heights, sizes and the lever over the months of a circuit for paper" do
    drawn = ->(name) { Nokogiri::XML(fetch("/circuits/#{name}"), &:strict) }
    heights = drawn.call("ridgeline-front/heights.svg")
    expect(heights.css("text").map(&:text)).to include("Left caliper", "Right caliper", "height, mm")
    sizing = drawn.call("ridgeline-front/sizing.svg")
    expect(sizing.css("circle").size).to be >= 5
    expect(sizing.css("text").map(&:text)).to include("19 × 20, fitted", "effort, N", "lever travel, mm")
    months = drawn.call("packmule-front/levers.svg")
    expect(months.css("circle").size).to be >= 2
    expect(months.css("text").map(&:text)).to include(/\A\d+ [A-Z][a-z]+ \d\d\z/, "lever travel lost to air")
    # as each job found it, and as it left it
    expect(months.css("circle").map { |dot| dot["cx"] }.tally.values).to eq [2, 2]
    [heights, sizing, months].each do |svg|
      places = svg.css("circle").map { |dot| [dot["cx"].to_f, dot["cy"].to_f] }
      expect(places).to all(match([be_between(40, 480), be_between(0, 230)]))
    end
    Sandbag::Tables.rows("circuit_templates").each do |row|
      plots = App::CircuitPlots.new(Sandbag::Circuit::Template.sheet(row["id"]), {"unit" => "mm", "factor" => 1})
      [plots.heights, plots.sizing].each { |svg| expect(Nokogiri::XML(svg, &:strict).to_s).not_to include("NaN") }
    end
    header "Host", "127.0.0.1"
    get "/api/circuits/scree-clutch/levers.svg"
    expect(last_response.status).to eq 404
  end

  it "tell the owner in plain words what was done, what to watch and when to come back, on one page" do
    pdf = PDF::Reader.new(StringIO.new(fetch("/jobs/job-bicycle/owner-sheet.pdf").b))
    text = pdf.pages.map(&:text).join("\n").gsub(/\s+/, " ")
    expect(pdf.page_count).to eq 1
    expect(text).to include("Released by R. Tarn", "You said: “Lever to the bar on the long hill.”", "What to watch",
      "After 24 h standing", "After the first ride", "Stop at once", "it stops about 9 mm sooner")
  end

  it "tell the owner of a machine that is not released not to use it" do
    text = PDF::Reader.new(StringIO.new(fetch("/jobs/job-kart/owner-sheet.pdf").b)).pages.map(&:text).join(" ")
    expect(text).to include "not released. Do not use it"
  end

  it "print names in any script, and words longer than the page is wide" do
    ask(:patch, "/machines/packmule", {name: "Велосипед Ποδήλατο 🚲 #{"W" * 60}"})
    ask(:post, "/jobs", {id: "odd", circuit_id: "packmule-rear", beside: true})
    entry("odd", "ask", "complaint", {"text" => "Ж" * 200})
    expect(PDF::Reader.new(StringIO.new(fetch("/jobs/odd/owner-sheet.pdf").b)).pages.first.text).to include "Велосипед"
  end
end
