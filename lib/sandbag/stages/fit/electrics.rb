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
      def initialize(scope, entries, switch:)
        @scope = scope
        @switch = switch
        @ohms = entries.by("ohms", "state")
        @lamp = entries.said("lamp")
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
        return [] unless wanted? && phase == "before"
        [
          state_due("rest", "at rest", "open"),
          state_due("pulled", @scope.sheet.kind.control["pressed"], "#{Tables::Figures.said("closed_switch")} or less"),
          (lamp_due if lamp_wanted?)
        ].compact
      end

      # Refuses a reading that is neither ohms nor open.
      def admit(data)
        return if data["open"] || data["ohms"]
        raise Refusal.at("data/ohms", "no reading", "ohms, or open where the meter shows no contact")
      end

      # Refuses a lamp that is neither there nor not.
      def admit_lamp(data)
        return if data["none"] || data["travel"]
        raise Refusal.at("data/travel", "no reading", "mm of travel at which the lamp comes on, or none")
      end

      private

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
