# frozen_string_literal: true

module Sandbag
  module Ask
    # The questions that can stop the job, then what tells most, then the repair and where it works.
    class Now < Job::Now
      private

      def cards
        return intake if @stage.intake.unanswered.any?
        return [place] if @stage.where.wanted?
        return looks if @stage.rounds.back_to_ask?
        @stage.proposal ? [route, *looks] : [*looks, route]
      end

      def intake
        @stage.intake.unanswered.map do |row|
          question("intake.#{row["id"]}", row["ask"], each_answer(row["values"], "intake", question: row["id"]))
        end
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
