# frozen_string_literal: true

module Sandbag
  module Choose
    # What the shelf has for a job: kits that fit, bottles that are enough, tools, and what has to be bought.
    class Supplies
      # @param choose [Stage]; stock [Shelf::Stock]; today [Date]
      def initialize(choose, stock, today:)
        @choose = choose
        @sheet = choose.sheet
        @stock = stock
        @today = today
        objections = Objections.new(choose, today)
        @shelf = ShelfLines.new(choose, stock, objections, today: today)
        @pulls = PullAdmission.new(choose, stock, objections, @shelf)
        freeze
      end

      # @return [Array<Hash>] the pull list against the shelf, see ShelfLines
      def lines
        @shelf.to_a
      end

      # @return [Array<Hash>] what was pulled for lines that the list no longer has
      def stale
        @shelf.stale
      end

      # @return [Job::Entry] with the count that is promised
      # Refuses what PullAdmission refuses.
      def admit(entry)
        @pulls.admit(entry)
      end

      # @return [Array<Hash>] label, detail, count and unit of what has to be bought; like, supplier and price_minor of
      #   the thing of this sort that was bought last, where the shelf knows one
      def buy
        lines.select { |line| line[:short].positive? }.map do |line|
          last = line[:options].filter_map { |option| @stock.find(option[:item]) unless option[:wrong] }.last
          {label: line[:label], detail: line[:detail], count: line[:short], unit: line[:unit], like: last&.name,
           supplier: last&.supplier, price_minor: last&.price_minor}.compact
        end
      end

      def to_h
        {
          cylinders: @shelf.kits.keys.map { |line| cylinder_view(line) },
          kits: @shelf.kits.flat_map { |line, matches| matches.map { |match| {line: line.id, **match.to_h} } },
          check: check.to_h,
          fluids: fluids,
          notes: notes,
          methods: methods_view,
          bottles: @shelf.bottles&.to_h,
          joints: joints,
          lines: lines.map(&:compact),
          buy: buy,
          stale: stale,
          materials: materials
        }.compact
      end

      private

      def check
        @choose.fluid_in(@today)
      end

      def known?
        @choose.stamped != "unknown"
      end

      def fluids
        known? ? FluidChoice.judged(@choose.stamped, abs: @sheet.abs?, cold: @sheet.kind.has?("cold")) : []
      end

      def notes
        known? ? FluidChoice.notes(@choose.stamped, @sheet.value("fluid", "found"), abs: @sheet.abs?) : []
      end

      def methods_view
        @choose.bleed_methods.map { |row| {id: row["id"], label: row["label"]} }
      end

      def joints
        @choose.joints.map do |joint|
          {at: joint.at, label: joint.label, kind: joint.fitting, hoses: joint.hoses, washers: joint.washers,
           olives: joint.olives, inserts: joint.olives}
        end
      end

      def cylinder_view(line)
        cylinder = line.unit
        {
          line: line.id,
          name: (cylinder.label if cylinder.at),
          part: cylinder.part,
          bore_mm: cylinder.bore_mm,
          construction: cylinder.construction.label,
          spring: cylinder.spring,
          unproven: cylinder.unproven,
          renewed: renewed(cylinder)
        }.compact
      end

      # @return [Array<String>] what is renewed whenever this construction is stripped, whatever it looks like
      def renewed(cylinder)
        cylinder.construction.renewed.filter_map do |part|
          item = Tables.find("kit_items", part["id"])
          item["label"] if item && item["rule"] == "must"
        end
      end

      # Rubber of the kit that was pulled, or of the best one: the cells of the matrix that apply here.
      def materials
        kit = @shelf.kits.filter_map do |line, matches|
          @shelf.pulled_items(line.id).first || (matches.first && @stock.find(matches.first.to_h[:item]))
        end.first
        kit ? kit.fields["contents"].values.filter_map { |line| line["material"] }.uniq : []
      end
    end
  end
end
