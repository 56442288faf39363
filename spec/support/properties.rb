# frozen_string_literal: true

# Shorthand for properties: numbers in a range, given to a block that must hold for all of them.
module Properties
  STEPS = 10_000

  # @param ranges [Hash{Symbol => Range}] name => range of Floats
  def for_all(**ranges, &block)
    numbers = ranges.transform_values do |range|
      Properties.seeded.map { |step| range.begin + (range.end - range.begin) * step / STEPS.to_f }
    end
    PropCheck.forall(**numbers).with_config(n_runs: 60, &block)
  end

  # Steps drawn from RSpec's seed, so that a run can be repeated; the library draws from a source of its own.
  def self.seeded
    drawn = PropCheck::Generators.choose(0..STEPS)
    source = Random.new(Kernel.rand(2**32))
    PropCheck::Generator.new { |**given| drawn.generate(**given, rng: source) }
  end

  # The problems of what the block refuses, their sentences in the core's units.
  def problems
    yield
    []
  rescue Sandbag::Refusal => refusal
    refusal.problems.map do |problem|
      Sandbag::Refusal::Problem.new(pointer: problem.pointer, message: said(problem.message),
        accepted: problem.accepted && said(problem.accepted))
    end
  end

  # A sentence with its figures written out in the core's units.
  def said(sentence)
    Sandbag::Said.plain(sentence)
  end

  def refusal_at(&block)
    problems(&block).map(&:pointer)
  end
end
