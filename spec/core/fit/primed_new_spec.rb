# frozen_string_literal: true

RSpec.describe Sandbag::Fit::Sequence, "of a new cylinder with ABS" do
  def steps(route, abs)
    job = JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: abs))
    job.answer_stops
    {"abs" => abs, "abs_tool" => "yes"}.first((abs == "none") ? 1 : 2).each do |question, value|
      job.add("ask", "intake", {"question" => question, "value" => value})
    end
    job.add("ask", "route", {"route" => route})
    job.state.fit.sequence.steps.map(&:id)
  end

  it "primes it on the bench before the joint is made, and nothing without ABS or without a new cylinder" do
    with_abs = steps("renew_mc", "fitted")
    expect(with_abs).to include("primed_new")
    expect(with_abs.index("primed_new")).to be < with_abs.index("engaged")
    expect(steps("renew_mc", "none")).not_to include "primed_new"
    expect(steps("reseal_mc", "fitted")).not_to include "primed_new"
  end
end
