# frozen_string_literal: true

require_relative "../../support/constants"

# Every number that the core holds as a constant has a line in a table of limits, so that another number there fails.
RSpec.describe "Every constant of the core" do
  let(:held) do
    Dir["#{ROOT}/spec/core/**/*_spec.rb"]
      .flat_map { |path| File.read(path).scan(/both_sides((?:\s*"[\w:]+",)+)/).flatten }
      .flat_map { |names| names.scan(/[\w:]+/) }
  end

  # Numbers that bound no behaviour anybody sees: steps of a computation, arithmetic's own error, lengths of lists that
  # a page shows. The simulated circuit's are held by its own specs (rig/).
  sums = %w[
    Feel::LeverFit::PARAMETERS Feel::FreeFit::STEPS Feel::FreeFit::SETTLED Feel::NormalEquations::SINGULAR
    Feel::HoldSeries::PARAMETERS Feel::Hung::SAME_N Feel::History::MONTH Airway::PointCount::DROP_ML
    Bleed::Checks::ARITHMETIC_MPA Bleed::Checks::HELD_S
    Planner::DaySearch::MOST_NODES Planner::DaySearch::MOST_STEPS Job::Stage::RECENT Ask::View::SHOWN_RANKS
    Said::MOST_DECIMALS Hydraulics::Bisection::HALVINGS Hydraulics::BalanceBar::MOST_N
  ]

  it "has a line on both sides of it, or is a step of a sum" do
    constants = Constants.numeric("#{ROOT}/lib/sandbag").reject { |name| name.start_with?("Rig::") }
    expect(constants - held - sums).to be_empty
  end

  it "is there, where a line names it" do
    gone = held.reject { |name| Sandbag.const_defined?(name) }
    expect(gone).to be_empty
  end
end
