# frozen_string_literal: true

module Sandbag
  module Job
    # A job as its journal tells it, on a circuit: each stage's own findings and figures. Everything is computed from the
    # entries in force; nothing is kept.
    class State
      attr_reader :journal, :fitted, :sheet, :ask, :choose, :strip, :measure, :build, :bleed, :feel, :close

      # @param journal [Journal]
      # @param fitted [Circuit::Sheet] the circuit as the machine's record has it
      # @param lubricant [String] what the shop wets cups with, where fluid and rubber bear it
      def initialize(journal, fitted, lubricant: Shop::LUBRICANT)
        @journal = journal
        @fitted = fitted
        @ask = Ask::Stage.new(journal.of("ask"), fitted)
        @choose = Choose::Stage.new(journal.of("choose"), fitted, @ask)
        @sheet = @choose.sheet
        @strip = Strip::Stage.new(journal.of("strip"), @choose)
        @measure = Measure::Stage.new(journal.of("measure"), @choose, @strip, @ask.route&.fetch("id"))
        @build = Build::Stage.new(journal.of("build"), @choose, @strip, @measure, lubricant)
        @bleed = Bleed::Stage.new(journal.of("bleed"), @sheet, @ask)
        @feel = Feel::Stage.new(journal.of("feel"), @sheet, @bleed)
        @close = Close::Stage.new(journal.of("close"), self)
        freeze
      end

      # @return [Array<Stage>] the stages this job has, in order
      def stages
        ids = @ask.route ? @ask.route["stages"] - absent : DEFAULT_STAGES
        (STAGES & ids).to_h { |id| [id, public_send(id)] }
      end

      # Stages of the route that this circuit gives no work for: no construction is known of a caliper.
      def absent
        [("strip" unless strip.work.any?), ("measure" unless measure.any?), ("build" unless strip.work.strips?)]
      end

      # Before a route is chosen: what most jobs have.
      DEFAULT_STAGES = %w[ask choose bleed feel close].freeze

      # @return [String] id of the first stage that is not finished, or the last
      def current
        (stages.find { |_, stage| !stage.done? } || stages.to_a.last).first
      end

      def signed?
        close.signed?
      end

      # The reason that sends the machine elsewhere, or nil.
      def stop
        ask.stop
      end

      def to_h
        {current: current, signed: signed?, stop: stop, waits_for: waits_for,
         stages: stages.map { |id, stage| stage_view(id, stage) },
         **stages.to_h { |id, stage| [id.to_sym, stage.to_h] }}.compact
      end

      def waits_for
        return "nothing: signed off" if signed?
        return "another workshop: #{stop}" if stop
        stages.fetch(current).waits_for
      end

      private

      def stage_view(id, stage)
        {id: id, status: status(id, stage), waits_for: stage.waits_for, unresolved: stage.unresolved}.compact
      end

      def status(id, stage)
        return "done" if stage.done?
        (id == current) ? "current" : "ahead"
      end
    end
  end
end
