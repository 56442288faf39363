# frozen_string_literal: true

module Sandbag
  module Ask
    # Where on the circuit a repair works, and what it opens there. The only place there is needs no answer; one that
    # was found wet, worn or stuck stands until another is named.
    class Where
      # @param route [Job::Route, nil]; places [Circuit::Places]
      # @param named [Array<String>, nil] ids of places, as the mechanic named them
      # @param found [Array<String>] ids of places at which something was found
      def initialize(route, places, named:, found:)
        @route = route
        @places = places
        @candidates = possible.freeze
        @at = chosen(named, found).freeze
        freeze
      end

      # @return [Circuit::Places] of the circuit that it works on
      attr_reader :places

      # @return [Array<Circuit::Place>] where the repair could work; none where it needs no place
      attr_reader :candidates

      # @return [Array<Circuit::Place>] where it works; none while it is not said
      attr_reader :at

      # Which of several is not said.
      def wanted?
        candidates.size > 1 && at.empty?
      end

      # @return [Array<Circuit::Place>] what is opened, from the master outwards; while it is not said where, all that
      #   could be
      def opened
        return [] unless @route
        @places.opened(@route.opens, wanted? ? candidates : at)
      end

      # @return [String] nothing, above or below the ABS unit, or at the unit, as abs_gate.yml has it
      def side
        return "nothing" if opened.empty?
        return "unit" if at.any?(&:abs_unit?)
        opened.all?(&:above) ? "above" : "below"
      end

      # @return [String, nil] the question
      def asks
        "where: #{candidates.map(&:label).join(", ")}" if wanted?
      end

      # Refuses places at which this repair cannot work.
      # @param ids [Array<String>]
      def admit(ids)
        odd = ids - candidates.map(&:id)
        return if odd.empty? && candidates.any?
        raise Refusal.at("data/places", "#{odd.first || ids.first}: this repair does not work there",
          candidates.empty? ? "a repair that works at a place" : candidates.map(&:id).join(", "))
      end

      private

      def possible
        return [] unless @route
        @places.of_kind(*@route.at).select(&:pressed?)
      end

      def chosen(named, found)
        at = [named, found].compact.map { |ids| candidates.select { |place| ids.include?(place.id) } }.find(&:any?)
        at ||= candidates if candidates.one?
        return [] unless at
        @route.pair? ? @places.with_pairs(at) : at
      end
    end
  end
end
