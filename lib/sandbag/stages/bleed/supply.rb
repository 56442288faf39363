# frozen_string_literal: true

module Sandbag
  module Bleed
    # What the fluid of a method comes out of, how much of it one filling holds, and whether it is counted in strokes or
    # in millilitres.
    class Supply
      # Ways of driving the fluid that are read in millilitres; the others are counted in strokes.
      BY_ML = %w[head syringe].freeze
      # Neither syringe is pushed or drawn empty, mL. [default]
      LEFT_IN_ML = 2.0

      # @param method [Hash] of bleed_methods.yml; plan [Plan]
      def initialize(method, plan)
        @method = method
        @plan = plan
        freeze
      end

      def by_ml?
        BY_ML.include?(@method.dig("drive", "by"))
      end

      # @return [String] reservoir or syringe
      def kind
        syringe? ? "syringe" : "reservoir"
      end

      # What is pushed up by one syringe into the reservoir must find room there; a second syringe takes it up.
      # @return [Float] mL of one filling
      def ml
        return @plan.usable_ml unless syringe?
        full_ml = @method.dig("drive", "ml") - LEFT_IN_ML
        into_reservoir? ? [full_ml, @plan.usable_ml].min : full_ml
      end

      # @return [String] what is done before the next filling
      def refill
        return "Top up" unless syringe?
        into_reservoir? ? "Refill the syringe, draw the reservoir down" : "Refill the syringe"
      end

      private

      def syringe?
        @method.dig("drive", "by") == "syringe"
      end

      def into_reservoir?
        @method["reverse"] == true && @method["both"] != true
      end
    end
  end
end
