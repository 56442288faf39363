# frozen_string_literal: true

require "date"

module Sandbag
  module Choose
    # The fluid that is in the circuit now: water, boiling point, verdict, and when the next full change is due.
    class FluidCheck
      # @param sheet [Circuit::Sheet] with the class stamped on the cap
      # @param today [Date]
      # @param tested [Fluid::WaterTest, nil] water as an instrument found it
      # @param most_months [Integer, nil] between full changes, see ChangeDue
      def initialize(sheet, today:, tested: nil, most_months: nil)
        @sheet = sheet
        @today = today
        @fluid = Tables.find("fluids", sheet.value("fluid", "stamped"))
        @years = Fluid::Age.years(sheet.value("fluid", "changed_on"), today)
        @tested = tested
        @most_months = most_months
        freeze
      end

      # Only glycol takes water up; the others let it pool.
      def takes_water?
        !@fluid.nil? && @fluid["family"] == "glycol"
      end

      # @return [Hash, nil] percent, low, high and where it comes from: reading or estimate
      def water
        return unless takes_water?
        return {percent: @tested.percent, low: @tested.percent, high: @tested.percent, source: "measured"} if @tested
        Fluid::WaterEstimate.of(@sheet, @years).merge(source: "estimate") if @years
      end

      # @return [Hash, nil] row of water_verdicts.yml
      def verdict
        return unless water
        @tested ? @tested.verdict : Fluid::WaterTest.verdict(water[:percent])
      end

      # @return [Float, nil] °C at which it may boil, with as much water as its age allows; nil where that is unknown
      def boils_low_c
        boils_with(water[:high]) if water
      end

      # @return [Hash] all of it for the page
      def to_h
        {
          stamped: @fluid&.fetch("id"),
          family: @fluid&.fetch("family"),
          years: @years,
          takes_water: takes_water?,
          water: water,
          by: ((@tested.boils_c ? "boil_tester" : "pen") if @tested),
          **boiling,
          verdict: verdict_view,
          free_water: (free_water unless @fluid.nil? || takes_water?),
          due: Fluid::ChangeDue.new(@sheet, today: @today, water: water, most_months: @most_months).to_h
        }.compact
      end

      private

      def boiling
        return {} unless takes_water?
        {dry_c: @fluid["dry_c"], wet_c: @fluid["wet_c"], curve: Fluid::BoilingPoint.curve(@fluid),
         marks: marks, **boiling_now}
      end

      def boiling_now
        return {} unless water
        {boils_c: @tested&.boils_c || boils_with(water[:percent]), boils_low_c: boils_low_c,
         boils_high_c: boils_with(water[:low])}
      end

      def boils_with(percent)
        Fluid::BoilingPoint.c(@fluid, percent)
      end

      # @return [Array<Hash>] percent, label, stops: where the verdict changes
      def marks
        Tables.rows("water_verdicts").select { |row| row["mark"] }
          .map { |row| {percent: row["from"], label: row["mark"], stops: row["stops"] || false} }
      end

      def verdict_view
        verdict && {id: verdict["id"], label: verdict["label"], does: verdict["does"]}
      end

      def free_water
        "#{@fluid["label"]} does not take water up: any free water pools at the low point and boils at " \
          "#{Fluid::BoilingPoint::WATER_C.round} °C. Seen in the jar, it fails."
      end
    end
  end
end
