# frozen_string_literal: true

require_relative "careless"
require_relative "told_job"

# What the jobs of a careless mechanic tell after some slips: what is wrong, what is still to do, and what was refused.
module ToldSlips
  SEEDS = (1..30)

  # @return [Hash{String => Object}] part of a job => what it tells
  def self.parts
    SEEDS.map { |seed| of(seed) }.reduce(:merge)
  end

  def self.of(seed)
    careless = Careless.new(seed).tap(&:work)
    stages = careless.job.state.stages.keys.to_h do |stage|
      ["seed #{seed} #{stage}", ToldJob.shown(careless.job, stage)]
    end
    {**stages, "seed #{seed} headline" => careless.job.headline, "seed #{seed} refused" => careless.refused}
  end
end
