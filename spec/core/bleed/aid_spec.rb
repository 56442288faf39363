# frozen_string_literal: true

RSpec.describe "A method that only helps a bleed" do
  let(:job) do
    JobInMemory.new(sheet(twin_disc_plain)).tap do |begun|
      begun.ready_to_bleed("bleed")
    end
  end

  def take(method)
    job.add("bleed", "method", {"method" => method})
    job.look_before_fluid
  end

  it "is the one with the hose raised, the vacuum pump, the primed outlet and the pistons pushed home" do
    aids = Sandbag::Tables.rows("bleed_methods").select { |row| row["aid"] }.map { |row| row["id"] }
    expect(aids).to match_array %w[gravity_raised power_vacuum prime_outlet push_back]
  end

  it "finishes no point, whatever ran through; a method that finishes has to follow" do
    id = "right_caliper"
    strokes = job.state.bleed.count.points[id].strokes_to_go
    take("gravity_raised")
    job.strokes(strokes)
    job.add("bleed", "topped_up")
    job.add("bleed", "colour", {"colour" => "as_fresh"})
    expect(job.state.bleed.count.points[id].missing).to be_empty
    expect(refusal_at { job.add("bleed", "point_done", {"point" => id}) }).to eq ["kind"]
    expect(job.state.bleed.waits_for).to include("only helps")
    take("hold_cycle")
    expect(refusal_at { job.add("bleed", "point_done", {"point" => id}) }).not_to be_nil
    job.add("bleed", "topped_up")
    job.strokes(job.state.bleed.count.points[id].strokes_to_go.clamp(1, 40))
    job.add("bleed", "topped_up")
    job.add("bleed", "colour", {"colour" => "as_fresh"})
    job.add("bleed", "point_done", {"point" => id})
    expect(job.state.bleed.count.points[id].done).to be true
  end
end
