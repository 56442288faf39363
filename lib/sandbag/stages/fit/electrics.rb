# frozen_string_literal: true

module Sandbag
  module Fit
    # The switch: closed when the control is worked, open at rest, the lamp on before the brake bites (docs/trade.md
    # 6.7).
    class Electrics
      CLOSED_OHMS = Tables::Figures.value("closed_switch").to_f
      # Above this a meter shows what is as good as open, Ω. [default]
      OPEN_OHMS = 1_000_000.0

      # @param scope [Scope]; entries [Job::Entries] of fit; switch [Boolean] there is one on this control
      # @param bled_at [Integer, nil] place of the last stroke: the lamp is held against the bite of a bled circuit; nil
      #   where there is no bleed to wait for
      def initialize(scope, entries, switch:, bled_at: nil)
        @scope = scope
        @switch = switch
        @ohms = entries.by("ohms", "state")
        @bled_at = bled_at
        newest = entries.last("lamp")
        @lamp = newest.data if newest && (newest.data["none"] || newest.position > bled_at.to_i)
        freeze
      end

      attr_reader :lamp

      def wanted?
        @switch && @scope.moves?("unit", "switch") && @scope.sheet.kind.has?("switch")
      end

      # @return [Hash, nil] ohms, or open, in one state
      def reading(state)
        @ohms[state]
      end

      # @return [Boolean, nil]
      def good?(state)
        data = reading(state)
        return unless data
        open = data["open"] || data["ohms"] >= OPEN_OHMS
        (state == "rest") ? open : (!open && data["ohms"] <= CLOSED_OHMS)
      end

      # @return [Float] mm of lever at which the pads just touch: the circuit's own take-up
      def bite_mm
        Circuit::Assembly.build(@scope.sheet).travel_mm(0)
      end

      # A brake's lamp; a clutch has none.
      def lamp_wanted?
        wanted? && !@scope.sheet.clutch?
      end

      # @return [Boolean, nil] on before the brake bites; a machine without a lamp has nothing to come on
      def lamp_good?
        return unless lamp
        lamp["none"] || lamp["travel"] < bite_mm
      end

      # @return [Array<String>]
      def due(phase)
        return [] unless wanted?
        [*(contacts_due if phase == "before"), (lamp_due if lamp_wanted? && phase == lamp_phase)].compact
      end

      # It is to be looked at in this phase, and was not, or comes on too late.
      def lamp_due?(phase)
        lamp_wanted? && phase == lamp_phase && !lamp_good?
      end

      # @return [String] before the bleed, or after it
      def lamp_phase
        @bled_at ? "after" : "before"
      end

      # Refuses a reading that is neither ohms nor open.
      def admit(data)
        return if data["open"] || data["ohms"]
        raise Refusal.at("data/ohms", "no reading", "ohms, or open where the meter shows no contact")
      end

      # @param phase [String] before or after the bleed
      # Refuses a lamp that is neither there nor not, and a travel before the bleed: a dry lever does not bite.
      def admit_lamp(data, phase)
        return if data["none"]
        if phase == "before" && lamp_phase == "after"
          raise Refusal.at("data/travel", "only a bled circuit shows where the brake bites", "none, or after the bleed")
        end
        return if data["travel"]
        raise Refusal.at("data/travel", "no reading", "mm of travel at which the lamp comes on, or none")
      end

      private

      def contacts_due
        [state_due("rest", "at rest", "open"),
          state_due("pulled", @scope.sheet.kind.control["pressed"], "#{Tables::Figures.said("closed_switch")} or less")]
      end

      def state_due(state, said, wanted)
        return if good?(state)
        return "switch #{said}: its reading" unless reading(state)
        "switch #{said}: must be #{wanted}"
      end

      def lamp_due
        return if lamp_good?
        return "lamp: the travel at which it comes on" unless lamp
        "lamp: on at #{Said.mm(lamp["travel"])}, the brake bites at #{Said.mm(bite_mm)}"
      end
    end
  end
end
