# frozen_string_literal: true

RSpec.describe Sandbag::Cylinder::SetupFigures do
  let(:job) do
    JobInMemory.new(sheet(twin_disc_plain).change("master", "construction", "bar_radial", "part_marking"))
      .tap(&:answer_stops).laid_out
  end

  def write(figure, value)
    job.add("strip", "figure", {"figure" => figure, "value" => value})
  end

  def row
    job.view("strip")[:setup].find { |each| each[:id] == "free_play" }
  end

  it "holds the first step up until a figure is written down, or it is said that there is none to be had" do
    ids = -> { job.state.strip.setup.missing.map { |each| each["id"] } }
    expect(ids.call).to include("free_play", "lid_clean")
    expect(row[:figures].map { |figure| figure[:id] }).to eq %w[tip reach rod_threads barrel_turns]
    write("tip", "2,8")
    expect(ids.call).not_to include "free_play"
    expect(row).to include(value: "done",
      figures: a_collection_including({id: "tip", label: "Free play at the lever tip",
                                                                            dimension: "length", value: 2.8}))
    other = JobInMemory.new(sheet(twin_disc_plain)).tap(&:answer_stops).laid_out
    other.add("strip", "setup", {"item" => "free_play", "value" => "unknown"})
    expect(other.state.strip.setup.missing.map { |each| each["id"] }).not_to include "free_play"
  end

  it "refuses a figure that cannot be, and one that this unit does not have" do
    expect([60, 60.1].map { |value| taken? { write("tip", value) } }).to eq [true, false]
    expect(refusal_at { write("depth", 3) }).to eq ["data/figure"]
    foot = JobInMemory.new(Sandbag::Circuit::Template.sheet("bike_front")).tap(&:answer_stops).laid_out
    expect(refusal_at {
      foot.add("strip", "figure", {"figure" => "rod_threads", "value" => 4})
    }).to eq ["data/figure"]
  end

  it "is asked of the master only, and shown in Fit beside the new figure" do
    far = JobInMemory.new(sheet(twin_disc_plain)).tap(&:answer_stops).laid_out(route: "slave_work")
    expect(far.state.strip.setup.rows.map { |each| each["id"] }).not_to include "free_play"
    write("tip", 2.8)
    write("rod_threads", 6)
    expect(job.view("fit")[:free_play][:before].map { |figure| figure.slice(:id, :value) })
      .to eq [{id: "tip", value: 2.8}, {id: "rod_threads", value: 6}]
  end
end
