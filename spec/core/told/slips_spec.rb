# frozen_string_literal: true

require_relative "../../support/told_slips"

RSpec.describe "The figures of a job with slips" do
  it "stay what they were, with what is refused and what is still to do" do
    expect(ToldSlips.parts).to tell_as_held("slips")
  end
end
