# frozen_string_literal: true

require "tmpdir"
require "zlib"

# spec/fixtures: the records of Fell Gate Garage as Sandbag of 2026-11-28 stored them (commit 13e3b70), and what that
# Sandbag said of them. Nothing of them may be lost or changed; what it did not say yet may be added.
RSpec.describe "Records from before", :api do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  let(:store) { Store::All.new(Store::Opening.database("#{@folder}/records.db")) }
  let(:before) { JSON.parse(unpacked("json")) }

  before { File.binwrite("#{@folder}/records.db", unpacked("db")) }

  def unpacked(kind)
    Zlib.gunzip(File.binread("#{ROOT}/spec/fixtures/records_of_2026-11-28.#{kind}.gz"))
  end

  # The newer answer with only the members that the older one has.
  def as_told(older, newer)
    case older
    when Hash then newer.slice(*older.keys).to_h { |key, value| [key, as_told(older[key], value)] }
    when Array then newer.each_with_index.map { |value, index| as_told(older[index], value) }
    else newer
    end
  end

  # A sentence over levers that was put into plainer words since; its figures are the same.
  def reworded(told)
    JSON.parse(JSON.generate(told).gsub("It loses ", "It uses ")
      .gsub("of what it may lose each month: due about", "of its allowance a month; due about"))
  end

  it "say of signed jobs and levers what was said then" do
    now = before["told"].to_h { |path, older| [path, as_told(older, ask(:get, path))] }
    expect(now).to eq reworded(before["told"])
  end

  it "leave every open job at its stage" do
    now = before["open"].to_h do |path, _|
      [path, ask(:get, path)["stages"].to_h { |stage| stage.values_at("id", "status") }]
    end
    expect(now).to eq before["open"]
  end

  it "are brought up to the contract, were any of their stages signed" do
    faults = before["views"].flat_map do |path, view|
      id = File.basename(path)
      signed = JSON.generate("v" => 4, "stages" => {id => view.fetch(id)})
      now = Store::Document.load(signed)["stages"]
      Api::CONTRACT.response_faults("getStage", 200, view.merge(now)).map { |fault| "#{path}: #{fault}" }
    end
    expect(faults).to eq []
  end

  it "keep the range of free play that the page gave" do
    fit = before["views"].fetch("/jobs/job-scree-front/stages/fit")["fit"]
    signed = JSON.generate("v" => 4, "stages" => {"fit" => fit})
    expect(Store::Document.load(signed).dig("stages", "fit", "free_play")).to include(
      "range" => "Bar lever with a pushrod: 2.0 to 5.0 mm at the tip, 0.2 to 0.5 mm at the piston. Default.",
      "value_mm" => 2.6
    )
  end
end
