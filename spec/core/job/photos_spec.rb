# frozen_string_literal: true

RSpec.describe Sandbag::Job::Photos do
  def job
    @job ||= JobInMemory.new(Sandbag::Circuit::Template.filled("road_front_twin"))
  end

  def photo(stage, what, more = {})
    job.add(stage, "photo", {"photo" => "p", "what" => what, **more})
  end

  def mark(photo, to_x, stage: "strip", shape: "circle")
    job.add(stage, "mark", {"photo" => photo, "shape" => shape, "x" => 0.5, "y" => 0.4, "to_x" => to_x, "to_y" => 0.4})
  end

  def all
    described_class.new(job.state.journal).all
  end

  before do
    job.answer_stops
    job.add("ask", "route", {"route" => "reseal_mc"})
  end

  it "carry what was drawn on them, in shares of the picture; a mark is taken back by itself" do
    clamp = photo("strip", "Clamp")
    circle = mark(clamp, 0.7)
    mark(clamp, 0.1, shape: "arrow", stage: "fit")
    expect(all.first).to include(entry: clamp, what: "Clamp", stage: "strip")
    expect(all.first[:marks]).to match [
      a_hash_including(entry: circle, stage: "strip", shape: "circle", x: 0.5, y: 0.4, to_x: 0.7, to_y: 0.4),
      a_hash_including(stage: "fit", shape: "arrow", to_x: 0.1)
    ]
    job.undo("strip", circle)
    expect(all.first[:marks].map { |each| each[:shape] }).to eq %w[arrow]
  end

  it "belong to the first photo of what they show once more, and to none where that was taken back" do
    before = photo("strip", "Clamp")
    after = photo("fit", "Clamp", "again" => before)
    photo("fit", "Clamp", "again" => after)
    expect(all.map { |each| each[:again] }).to eq [nil, before, before]
    job.undo("strip", before)
    expect(all.map { |each| each[:again] }).to eq [nil, after]
  end

  it "refuse a mark on no photo of the job, and a photo of what is not there once more" do
    expect { mark("nothing", 0.7) }.to raise_error(Sandbag::Refusal, /no photo “nothing”/)
    expect { photo("fit", "Clamp", "again" => "nothing") }.to raise_error(Sandbag::Refusal, /no photo “nothing”/)
    expect { mark(photo("strip", "Clamp"), 1.2) }.to raise_error(Sandbag::Refusal)
  end

  both_sides "Job::Photos::LEAST_STROKE", 0.519 => :refused, 0.521 => :drawn do |to_x|
    mark(photo("strip", "Clamp"), to_x) && :drawn
  rescue Sandbag::Refusal
    :refused
  end

  it "are asked for where a part's way in has to be remembered" do
    job.answer_stops
    job.choose_what_is_wanted
    job.state.strip.setup.missing.each { |row| job.write("strip", *CylinderWork.answered(row)) }
    asked = []
    while (step = job.state.strip.step)
      asked << job.view("strip")[:now].first[:photo]
      job.add("strip", "step", {"step" => step.id})
    end
    expect(asked.compact).to include(a_string_matching(/lip of the boot/i))
    expect(asked).to include(nil)
  end
end
