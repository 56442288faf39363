# frozen_string_literal: true

module Sandbag
  module Rig
    # A simulated circuit with a hidden truth that fits the record: what the stand-in instruments read. The same seed has
    # the same truth, and nothing here is chance.
    class Circuit
      # How far the truth lies from what age predicts, as a share.
      SPREAD = 0.5

      # @param sheet [Sandbag::Circuit::Sheet]; today [Date]
      # @param seed [String] names the machine: one circuit, one truth
      def initialize(sheet, today:, seed:)
        @sheet = sheet
        @years = Sandbag::Circuit::FluidAge.years(sheet.value("fluid", "changed_on"), today) || UNKNOWN_YEARS
        @seed = seed
        freeze
      end

      # An undated circuit is taken for an old one.
      UNKNOWN_YEARS = 3.0

      # @param instrument [String]; place [String, nil] where it is held
      # @return [Float] what is there to be read
      # Refuses an instrument that has nothing to read here.
      def truth(instrument, _place)
        return water_percent if instrument == "moisture_pen"
        raise Refusal.at("instrument", "“#{instrument}” has nothing to read here", "moisture_pen")
      end

      # @return [Float] water in the fluid, % by volume
      def water_percent
        estimate = Choose::WaterEstimate.of(@sheet, @years)[:percent]
        [estimate * (1 + SPREAD * even("water")), Choose::WaterEstimate::MOST_PERCENT].min
      end

      # @return [Float] from −1 to 1, the same for the same name
      def even(name)
        Rig.random("#{@seed}/#{name}").rand(-1.0..1.0)
      end
    end
  end
end
