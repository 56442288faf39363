# frozen_string_literal: true

module Sandbag
  module Ask
    # Causes ranked from findings (docs/trade.md 1.4): each starts at ln(prior); strong for is two steps, for one,
    # against one back, strong against two, one step ln 3. Within a group of findings that are not independent only
    # the strongest for and the strongest against count. Normalised to shares.
    class Diagnosis
      # Shares at which a route is proposed: by one cause, or by causes that share their first route.
      SURE = 0.60
      SURE_TOGETHER = 0.75

      # What is merely due leads only while its share is at least this much of the best one.
      DUE_SHARE = 0.5

      # @attr evidence [Array<Hash>] finding, value, steps of every finding that moved it and counted; proof [String,
      #   nil] note; leads [Boolean] it is proven and goes before what is only likely
      Rank = Struct.new(:cause, :share, :evidence, :proof, :leads, keyword_init: true) do
        def route
          Diagnosis.first_route(cause["id"])
        end
      end

      attr_reader :findings, :facts

      # @return [String] id of the route a cause is first met with
      def self.first_route(code)
        @first_routes ||= Tables.rows("causes").to_h { |cause| [cause["id"], cause["routes"].first] }.freeze
        @first_routes.fetch(code)
      end

      # @param findings [Findings]
      # @param facts [Hash] "side" => brake or clutch, "abs" => none, fitted or unknown
      def initialize(findings, facts)
        @findings = findings
        @facts = facts
        freeze
      end

      # @return [Array<Rank>] proven ones first, a leak before the pads it wets, then by share; what is merely due
      #   stands by its share while that is small beside the best; causes that cannot be on this circuit are left out
      def ranks
        found = evidence
        possible = shares
        proven = proofs(possible)
        best = possible.values.max
        ranked = causes.map { |cause| rank(cause, possible[cause["id"]], found, proven, best) }
        ranked.sort_by.with_index { |each, index| [each.leads ? place_among(proven, each) : 2, -each.share, index] }
      end

      # @return [Hash{String => Float}] cause code => share
      def shares
        steps = self.steps
        # whole steps are added before they become a power, so that the order of findings cannot show in the last digit
        weights = causes.to_h { |cause| [cause["id"], cause["prior_#{side}"] * 3.0**steps[cause["id"]]] }
        total = weights.values.sum
        weights.transform_values { |each| each / total }
      end

      # @return [Hash{String => Integer}] cause code => steps for less steps against
      def steps
        Hash.new(0).merge(evidence.transform_values { |moves| moves.sum { |each| each[:steps] } })
      end

      # The same with one more finding.
      def with(finding, value)
        Diagnosis.new(findings.with(finding, value), facts)
      end

      # The first way out once the evidence is enough.
      # @return [Hash, nil] route, causes, share, and proof when it is proven
      def proposal
        ranked = ranks
        top = ranked.first
        return {route: top.route, causes: [top.cause["id"]], share: top.share, proof: top.proof} if top.leads
        return if findings.none?
        sharing = (top.share >= SURE) ? ranked.select { |each| each.route == top.route } : likeliest_together(ranked)
        share = sharing.sum(&:share)
        return unless top.share >= SURE || share >= SURE_TOGETHER
        {
          route: sharing.first.route,
          causes: sharing.select { |each| each.share >= NOTABLE }.map { |each| each.cause["id"] },
          share: share
        }
      end

      # Causes under this share are not named in a proposal.
      NOTABLE = 0.05

      def side
        facts.fetch("side")
      end

      private

      def causes
        Tables
          .rows("causes")
          .reject { |cause| cause["prior_#{side}"].zero? || (cause["id"] == "AB" && facts["abs"] == "none") }
      end

      def likeliest_together(ranked)
        ranked.group_by(&:route).values.max_by { |sharing| sharing.sum(&:share) }
      end

      def rank(cause, share, found, proven, best)
        proof = proven[cause["id"]]
        leads = !proof.nil? && (!proof["due"] || share >= DUE_SHARE * best)
        Rank.new(
          cause: cause,
          share: share,
          evidence: found.fetch(cause["id"], []),
          proof: proof && proof["note"],
          leads: leads
        ).freeze
      end

      # A proven cause that follows from another proven one comes after it.
      def place_among(proven, rank)
        ((proven[rank.cause["id"]]["after"] || []).any? { |code| proven.key?(code) }) ? 1 : 0
      end

      # @return [Hash{String => Array<Hash>}] cause code => what counts for and against it
      def evidence
        groups = findings.group_by { |finding, value| group_of(finding, value) }
        groups.values.each_with_object({}) do |members, found|
          moves = members.map { |finding, value| [finding, value, Matrix.steps(finding, value, side)] }
          moves.flat_map { |_, _, steps| steps.keys }.uniq.each do |code|
            (found[code] ||= []).concat(strongest(moves, code))
          end
        end
      end

      def strongest(moves, code)
        counted = moves.map { |finding, value, steps| {finding: finding, value: value, steps: steps[code]} }
        [counted.max_by { |each| each[:steps] }, counted.min_by { |each| each[:steps] }]
          .zip([:positive?, :negative?]).filter_map { |each, sign| each if each[:steps].public_send(sign) }
      end

      # Every history value is a group of its own.
      def group_of(finding, value)
        row = Tables.find("findings", finding)
        row["many"] ? "#{finding}.#{value}" : row["group"] || finding
      end

      # @return [Hash{String => Hash}] cause code => row of proofs.yml, for causes that the findings prove; what is
      #   not merely due before what is
      def proofs(possible)
        Tables
          .rows("proofs")
          .sort_by
          .with_index { |proof, index| [proof["due"] ? 1 : 0, index] }
          .each_with_object({}) do |proof, proven|
            next unless findings.meet?(proof["when"], facts)
            code = proof["proves"].select { |each| possible.key?(each) }.max_by { |each| possible[each] }
            proven[code] ||= proof if code
          end
      end
    end
  end
end
