# frozen_string_literal: true

module Sandbag
  module Feel
    # Travel on quick pulls one after the other, and after a rest of 30 s: what the gain points to (docs/physics.md 7,
    # docs/trade.md 8.1).
    class Pump
      LEAST = 3
      # Of what was gained, so much has to come back after the rest for it to be air.
      COMES_BACK = 0.5

      attr_reader :gain_mm

      # @param travels_mm [Array<Float>] of each pull; rest_mm [Float, nil] after the rest; kind [Circuit::Kind]
      # Refuses fewer than three pulls.
      def initialize(travels_mm, rest_mm, kind)
        raise Refusal.at("travels", "#{travels_mm.size} pulls say nothing", "three or more") if travels_mm.size < LEAST
        @travels = travels_mm
        @rest_mm = rest_mm
        @limit_mm = kind.pump_limit_mm
        @gain_mm = travels_mm.first - travels_mm.last
        freeze
      end

      # @return [String] steady, clearance, air, or gains where nobody read it after the rest
      def id
        return "steady" if gain_mm <= @limit_mm
        return "gains" unless @rest_mm
        (@rest_mm - @travels.last >= COMES_BACK * gain_mm) ? "air" : "clearance"
      end

      WHY = {
        "steady" => "It hardly gains by pumping. Should it sink under a steady pull, the cup lets fluid past.",
        "gains" => "It gains by pumping. Rest 30 s and pull once more: air comes back, pad clearance does not.",
        "air" => "It gains by pumping and comes back after the rest: air. Bleed again.",
        "clearance" => "It gains by pumping and stays: pads stood off. Knock-back, a new pad or a stuck caliper piston."
      }.freeze

      # @return [Hash] pulls_mm, rest_mm, gain_mm, limit_mm, pattern, pass, why
      def to_h
        {pulls_mm: @travels, rest_mm: @rest_mm, gain_mm: gain_mm, limit_mm: @limit_mm, pattern: id,
         pass: id == "steady", why: WHY.fetch(id)}.compact
      end
    end
  end
end
