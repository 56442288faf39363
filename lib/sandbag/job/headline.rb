# frozen_string_literal: true

module Sandbag
  module Job
    # A job in a line, for lists: where it stands and what it waits for.
    class Headline
      # @param job [State]
      def initialize(job)
        @job = job
        freeze
      end

      # @return [Hash] current, waits_for, signed, stop, do_not_use, referred, on_hold, begun (what was opened), open
      #   (to the air now), stages (id, status, waits_for, unresolved), complaint, wait, route, pace (see Ask::Minutes),
      #   family of the fluid, promised
      def to_h
        ask = @job.ask
        {
          current: @job.current,
          waits_for: @job.waits_for,
          signed: @job.signed?,
          stop: @job.stop,
          do_not_use: @job.do_not_use,
          referred: referred,
          on_hold: on_hold,
          begun: @job.ledger.begun,
          open: open,
          stages: stages,
          complaint: ask.complaint,
          wait: @job.close.wait || ask.wait,
          route: ask.route&.id,
          pace: ask.pace,
          family: @job.choose.family,
          promised: ask.promised
        }.compact
      end

      private

      def referred
        away = @job.ask.referral
        away && {name: away.data["name"], to: away.data["to"], reason: away.data["reason"], at: away.at}.compact
      end

      def on_hold
        held = @job.close.held unless @job.signed?
        held && {name: held.data["name"], reason: held.data["reason"], at: held.at}
      end

      # Until what came off goes together again.
      def open
        opened = @job.strip.open
        opened if opened.any? && %w[strip measure].include?(@job.current)
      end

      def stages
        current = @job.current
        @job.stages.map do |id, stage|
          status = if stage.done?
            "done"
          else
            (id == current) ? "current" : "ahead"
          end
          {id: id, status: status, waits_for: stage.waits_for, unresolved: stage.unresolved}.compact
        end
      end
    end
  end
end
