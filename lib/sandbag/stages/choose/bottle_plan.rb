# frozen_string_literal: true

module Sandbag
  module Choose
    # Which bottles of the shelf give the fluid a job needs: opened ones that may still be used first, then the sealed
    # ones that leave the least (docs/physics.md 5).
    class BottlePlan
      # Sealed bottles looked at together; more than a shop opens for one job.
      MOST_SEALED = 10
      # What is bought when the shelf has never held the fluid, mL. [default]
      USUAL_SIZE_ML = 500.0

      # @param need_ml [Float]; fluid_id [String]; bottles [Array<Shelf::Item>] of any fluid
      # @param today [Date]; clutch [Boolean]
      def initialize(need_ml, fluid_id, bottles, today:, clutch:)
        @need_ml = need_ml
        @fluid = Tables.find("fluids", fluid_id)
        @today = today
        @clutch = clutch
        @bottles = bottles.select { |bottle| bottle.fields["fluid"] == fluid_id }
        @picked = pick.freeze
        freeze
      end

      # @return [Float] mL that the shelf cannot give; what can be trimmed is not bought
      def short_ml
        (left_ml > FluidNeed::TRIM_ML) ? left_ml : 0.0
      end

      # @return [Float] mL that are done without: no bottle is opened for them
      def trim_ml
        (left_ml > FluidNeed::TRIM_ML) ? 0.0 : left_ml
      end

      # @return [Hash] need, picked bottles with what is left in each and until when, what is short and what to buy, and
      #   what is done without
      def to_h
        {
          need_ml: @need_ml,
          picked: @picked.map { |bottle, ml| picked_view(bottle, ml) },
          short_ml: short_ml,
          trim_ml: (trim_ml if trim_ml.positive?),
          buy: buy
        }.compact
      end

      private

      def left_ml
        [@need_ml - @picked.sum { |_, ml| ml }, 0.0].max
      end

      def usable
        @bottles.select { |bottle| bottle.free.positive? && refusal(bottle).nil? }
      end

      def refusal(bottle)
        Fluid::Bottle.new(bottle, @today, clutch: @clutch).refusal
      end

      def pick
        opened, sealed = usable.partition(&:opened_on)
        picked = pour(opened.sort_by { |bottle| [bottle.opened_on, bottle.id] }, @need_ml)
        rest_ml = @need_ml - picked.sum { |_, ml| ml }
        picked +
          pour(
            least_over(
              sealed.sort_by { |bottle| [bottle.fields["use_by"] || "9", bottle.id] }.first(MOST_SEALED),
              rest_ml
            ),
            rest_ml
          )
      end

      # @return [Array<Array(Shelf::Item, Float)>] bottle and mL out of it, in order, until there is enough
      def pour(bottles, need_ml)
        bottles.each_with_object([]) do |bottle, picked|
          rest_ml = need_ml - picked.sum { |_, ml| ml }
          picked << [bottle, [bottle.free, rest_ml].min] if rest_ml.positive?
        end
      end

      # The set of sealed bottles that is enough, but for what can be trimmed, and leaves the least, and of those the
      # fewest; all of them if none is enough.
      def least_over(sealed, need_ml)
        enough_ml = need_ml - FluidNeed::TRIM_ML
        return [] unless enough_ml.positive?
        sets = (1..sealed.size).flat_map { |size| sealed.combination(size).to_a }
        enough = sets.select { |set| set.sum(&:free) >= enough_ml }
        enough.min_by.with_index { |set, index| [set.sum(&:free), set.size, index] } || sealed
      end

      def picked_view(bottle, ml)
        opened = Fluid::Bottle.new(bottle, @today, clutch: @clutch)
        use_by =
          if bottle.opened_on
            opened.use_by
          else
            [opened.use_by, Fluid::Bottle.open_until(@fluid, @today, clutch: @clutch)].compact.min
          end
        {
          item: bottle.id,
          name: bottle.name,
          place: bottle.place,
          state: opened.state,
          ml: ml,
          left_ml: bottle.free - ml,
          left_until: use_by&.iso8601
        }.compact
      end

      def bought(size_ml)
        ((short_ml - FluidNeed::TRIM_ML) / size_ml).ceil
      end

      # Whole sealed bottles of the smallest size the shelf knows that needs the fewest of them.
      def buy
        return unless short_ml.positive?
        sizes = @bottles.map { |bottle| bottle.fields["size"] }.uniq
        sizes = [USUAL_SIZE_ML] if sizes.empty?
        size = sizes.min_by { |each| [bought(each) * each, each] }
        {size_ml: size, count: bought(size), fluid: @fluid["label"]}
      end
    end
  end
end
