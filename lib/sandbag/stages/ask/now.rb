# frozen_string_literal: true

module Sandbag
  module Ask
    # The questions that can stop the job, then what tells most, then the repair and where it works.
    class Now < Job::Now
      FIRST = "Answer it before anything is opened."

      # A stop does not end the questions: what is answered may lift it.
      def to_a
        return super unless @job.stop && !@job.signed? && !@job.on_hold? && @stage.referral.nil?
        @stage.intake.unconfirmed.map { |row| ask(row).compact }
      end

      private

      def cards
        intake = @stage.intake
        return intake.unconfirmed.select { |row| row["stops"] }.map { |row| ask(row) } if intake.unanswered.any?
        return [place] if @stage.where.wanted?
        return looks if @stage.rounds.back_to_ask?
        [*intake.unconfirmed.map { |row| ask(row) }, *(@stage.proposal ? [route, *looks] : [*looks, route])]
      end

      # What the machine's record says is only confirmed.
      def ask(row)
        recorded = row["values"][@stage.intake.value(row["id"])]
        question("intake.#{row["id"]}", row["ask"], each_answer(row["values"], "intake", question: row["id"]),
          detail: recorded ? "The record says: #{recorded}" : (FIRST if row["stops"]))
      end

      def place
        candidates = @stage.where.candidates
        all = ["All of them", entry("at", places: candidates.map(&:id))]
        each = candidates.map { |candidate| [candidate.label, entry("at", places: [candidate.id])] }
        question("where", "Where does the repair work?", [*each, all])
      end

      def looks
        @stage.next_tests.map do |offer|
          row = offer.finding
          question("finding.#{row["id"]}", row["label"], each_answer(row["values"], "finding", finding: row["id"]),
            detail: row["how"])
        end
      end

      # The repair that the findings point to comes first.
      def route
        proposed = @stage.proposal&.fetch(:route)
        routes = @stage.routes.sort_by { |each| (each.id == proposed) ? 0 : 1 }
        question("route", "Which repair?", routes.map { |each| [each.label, entry("route", route: each.id)] },
          detail: (@stage.proposal_reason if proposed))
      end
    end
  end
end
