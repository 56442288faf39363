# frozen_string_literal: true

module Sandbag
  module Ask
    # What the Ask page shows.
    class View
      SHOWN_RANKS = 5

      # @param ask [Stage]
      def initialize(ask)
        @ask = ask
        freeze
      end

      # @return [Hash]
      def to_h
        ask = @ask
        {
          complaint: ask.complaint,
          notes: ask.notes,
          plan: plan,
          intake: ask.intake.to_h,
          against_record: ask.intake.against_record,
          wait: ask.wait,
          findings: ask.entered.to_h,
          askable: ask.askable.map { |finding| finding["id"] },
          ranks: ranks,
          next_tests: offers(ask.next_tests),
          proposal: ask.proposal && proposal,
          routes: ask.routes.map(&:id),
          route: ask.route&.id,
          reason: ask.reason,
          against_proposal: ask.against_proposal,
          against_request: ask.against_request,
          offers: ask.due + ask.intake.offers,
          repairs: ask.repairs.map { |route, why| {id: route.id, label: route.label, why: why} },
          stand: FollowUps.new(ask.findings).stand,
          places: ask.where.places.map(&:to_h),
          where: where,
          may_be_at: may_be_at,
          found_at: ask.found_places.all.transform_values { |at| at.map(&:id) },
          parts: ask.parts.map { |part| {id: part["id"], label: Circuit::Places.name(part)} },
          flags: ask.flags.map { |flag| flag_view(flag) },
          opened: ask.opened?
        }.compact
      end

      # @param offers [Array<NextTest::Offer>]
      # @return [Array<Hash>] tests, with what each answer would change
      def offers(offers)
        offers.map { |offer| offer_view(offer) }
      end

      private

      # @return [Hash] candidates, at and opens: ids of places; wanted: it is not said which
      def where
        where = @ask.where
        {candidates: where.candidates, at: where.at, opens: where.opened}.transform_values { |at| at.map(&:id) }
          .merge(wanted: where.wanted?)
      end

      # @return [Hash{String => Array<String>}] finding => where it may be, if there is more than one such place
      def may_be_at
        @ask.askable.select { |row| row["places"] }
          .to_h { |row| [row["id"], @ask.found_places.possible(row).map(&:id)] }.select { |_, ids| ids.size > 1 }
      end

      # @return [Hash, nil] stages of the whole job by the route in force, and why
      def plan
        route = @ask.route
        route && {stages: route.plan, why: route.why}
      end

      def ranks
        @ask
          .diagnosis
          .ranks
          .first(SHOWN_RANKS)
          .map do |rank|
            {
              cause: rank.cause["id"],
              label: rank.cause["label"],
              share: rank.share,
              proof: rank.proof,
              if_stays: rank.cause["if_stays"],
              then: then_of(rank.cause),
              also: rank.cause["also"],
              evidence: rank.evidence.sort_by { |each| [-each[:steps], each[:finding]] }
            }.compact
          end
      end

      # @return [Array<Hash>] id and label of the repairs to go on to that this circuit can have
      def then_of(cause)
        (cause["then"] || []).map { |id| Job::Route.find(id) }.select { |route| @ask.routes.include?(route) }
          .map { |route| {id: route.id, label: route.label} }
      end

      def offer_view(offer)
        answers =
          offer.answers.map do |value, lead|
            {
              value: value,
              cause: Wording.inside(Tables.find("causes", lead[:cause])["label"]),
              from: lead[:from],
              to: lead[:to]
            }
          end
        {
          finding: offer.finding["id"],
          gain_bits: offer.gain_bits,
          minutes: offer.minutes,
          walk: offer.walk["label"],
          opens: offer.finding.key?("opens"),
          answers: answers
        }
      end

      def proposal
        proposed = @ask.proposal
        {
          route: proposed[:route],
          label: Job::Route.find(proposed[:route]).label,
          reason: @ask.proposal_reason,
          share: proposed[:share],
          causes: proposed[:causes],
          proven: proposed.key?(:proof)
        }
      end

      def flag_view(flag)
        {
          id: flag.id,
          label: flag.label,
          does: flag.row["does"],
          lifts: flag.row["lifts"],
          liftable: flag.liftable && flag.holds_work,
          holds_work: flag.holds_work,
          cured: flag.cured,
          **flag.lifting.to_h.transform_keys(&:to_sym)
        }
      end
    end
  end
end
