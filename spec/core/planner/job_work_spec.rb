# frozen_string_literal: true

RSpec.describe Sandbag::Planner::JobWork do
  let(:now) { Time.utc(2026, 3, 14, 9) }

  def line(route: "bleed", done: [], current: "bleed", **more)
    stages = Sandbag::Job::Route.find(route).stages.map do |id|
      {id: id, status: done.include?(id) ? "done" : "ahead"}
    end
    {id: "j", machine: {kind: "road"}, route: route, stages: stages, current: current, **more}
  end

  def work(**more)
    described_class.new(line(**more), now).work
  end

  def minutes(**more)
    work(**more).pieces.map { |piece| [piece.minutes, piece.wait] }
  end

  it "is what the route's steps take, Close in two with the leak watch between; the re-check is another day" do
    # intake 15, access 10, bleed 35; close 15
    expect(minutes).to eq [[60, 0], [8, 10], [7, 0]]
  end

  it "leaves out what is done" do
    expect(minutes(done: %w[ask choose strip])).to eq [[35, 0], [8, 10], [7, 0]]
    expect(minutes(done: %w[ask choose strip bleed feel], current: "close")).to eq [[8, 10], [7, 0]]
  end

  it "waits until what is waited for is over, and then has one piece of Close left" do
    waiting = work(done: %w[ask choose strip bleed feel], current: "close",
      wait: {label: "w", until: "2026-03-14T09:07:30Z"})
    expect(waiting.ready).to eq 8
    expect(waiting.pieces.map(&:minutes)).to eq [15]
    expect(work(wait: {"label" => "w", "until" => "2026-03-14T08:00:00Z"}).ready).to eq 0
  end

  it "is finding out, before a route is known" do
    found = described_class.new({id: "j", machine: {kind: "kart"}, stages: [], current: "ask"}, now)
    expect(found).to be_plannable
    expect(found.work.pieces.map(&:minutes)).to eq [10]
  end

  it "keeps a promise and a piece put by hand in minutes from now" do
    put = described_class.new(line(promised: "2026-03-14T17:00:00Z"), now, moved: {0 => 30})
    expect(put.work.promised).to eq 480
    expect(put.work.pieces.map(&:at)).to eq [30, nil, nil]
  end

  it "leaves what another workshop has to see, what is put away and what cannot be read" do
    [{stop: "ABS"}, {referred: {name: "R"}}, {damaged: true}].each do |more|
      expect(described_class.new(line(**more), now)).not_to be_plannable
    end
  end
end
