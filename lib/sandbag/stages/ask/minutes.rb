# frozen_string_literal: true

module Sandbag
  module Ask
    # Minutes of a route's steps (docs/trade.md 2.10): by machine, by how often the job has a step, and by its pace.
    class Minutes
      # Somebody's first job of the kind takes this many times as long. [default]
      FIRST_TIME = 1.5
      # Words of a pace: the mechanic has not done this kind of job before; ABS is fitted, so that its gate and an
      # electronic bleed are part of a bleed.
      PACES = %w[first_time abs].freeze

      # @param intake [Intake]; sheet [Circuit::Sheet]
      # @return [Array<String>] of PACES
      def self.pace(intake, sheet)
        abs = !sheet.clutch? && sheet.value("vehicle", "abs") == "fitted"
        [("first_time" if intake.value("at_ease") == "no"), ("abs" if abs)].compact
      end

      # @param route [Job::Route]; machine_kind [String] of machine_kinds.yml
      # @param times [Hash{String => Integer}] step => how many times the job has it; once where it is not named
      # @param pace [Array<String>] of PACES
      def initialize(route, machine_kind, times: {}, pace: [])
        @route = route
        @times = times
        @pace = pace
        @column = Circuit::MACHINES.include?(machine_kind) ? machine_kind : "motorcycle"
        freeze
      end

      # @return [Array<Hash>] rows of step_minutes.yml, in the order of the work
      def steps
        ids = @route.steps
        ids += ["abs"] if @route.bleeds? && @pace.include?("abs")
        ids.map { |id| Tables.find("step_minutes", id) }
      end

      # @param step [Hash] row of step_minutes.yml
      # @return [Integer] minutes
      def of(step)
        minutes = step[@column] * @times.fetch(step["id"], 1)
        @pace.include?("first_time") ? (minutes * FIRST_TIME).ceil : minutes
      end

      # @return [Integer] minutes of the whole job
      def total
        steps.sum { |step| of(step) }
      end
    end
  end
end
