# frozen_string_literal: true

RSpec.describe "Linked brakes" do
  let(:job) do
    JobInMemory.new(sheet(twin_disc_plain), machine_kind: "road", careful: false).tap do |begun|
      begun.add("ask", "intake", {"question" => "linked", "value" => "linked"})
      begun.ready_to_bleed("flush")
    end
  end

  def order(*points) = job.add("bleed", "order", {"points" => points})

  it "are bled in the order of the service information, and no fluid moves before it is known" do
    expect(job.state.bleed.plan.points.map(&:id)).to eq %w[right_caliper left_caliper]
    job.choose_what_is_wanted
    job.answer_checks(job.state.bleed.checks.start)
    expect { job.add("bleed", "stroke") }
      .to raise_error(Sandbag::Refusal, /not yet: the order of the service information, point by point/)
    order("left_caliper", "right_caliper")
    expect(job.state.bleed.plan.points.map(&:id)).to eq %w[left_caliper right_caliper]
    expect(job.state.bleed.plan.points.map(&:why).uniq).to eq ["in the order of the service information"]
    expect(job.state.bleed.count.current_id).to eq "left_caliper"
    job.add("bleed", "stroke")
    expect(refusal_at { order("right_caliper", "left_caliper") }).to eq ["kind"]
  end

  it "pass the same fluid in any order: what all share goes through the first point" do
    volumes = %w[left_caliper right_caliper].permutation.map do |points|
      order(*points)
      job.state.bleed.plan.points.map(&:flush_ml)
    end
    expect(volumes.map(&:sum).uniq.map { |sum| sum.round(6) }.size).to eq 1
    expect(volumes).to all(satisfy { |first, last| first > last })
  end

  it "take every point once, and none where nothing is linked" do
    expect(refusal_at { order("left_caliper") }).to eq ["data/points"]
    expect(refusal_at { order("left_caliper", "left_caliper") }).to eq ["data/points"]
    job.add("ask", "intake", {"question" => "linked", "value" => "none"})
    expect(refusal_at { order("left_caliper", "right_caliper") }).to eq ["kind"]
    expect(job.state.bleed.order_due).to be_nil
  end

  it "are asked after at the end, control by control" do
    expect(job.open_gates).to include "linked"
    job.add("ask", "intake", {"question" => "linked", "value" => "none"})
    expect(job.open_gates).not_to include "linked"
  end
end
