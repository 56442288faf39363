# frozen_string_literal: true

module Sandbag
  module Choose
    # Whether a kit fits the cylinder it is for, and what it lacks (docs/trade.md 2.3, 2.4). Every no has its reason.
    class KitMatch
      # Two bores are one size up to this, mm: 15.87 is written for 15.875. Twins lie further apart.
      SAME_MM = 0.02

      # @attr does [String] no: it cannot be used; ask: only after somebody has looked
      Reason = Struct.new(:id, :does, :text, keyword_init: true)

      # @param kit [Shelf::Item] of kind kit
      # @param cylinder [Cylinder] what it is for
      def initialize(kit, cylinder)
        @kit = kit
        @cylinder = cylinder
        @reasons = [construction, bore, nominal, *materials, spring, year, side, piston, other_piston].compact.freeze
        freeze
      end

      # @return [Array<Reason>] what speaks against it, worst first
      attr_reader :reasons

      # @return [String] fits, ask or no
      def verdict
        return "fits" if reasons.empty?
        (reasons.any? { |reason| reason.does == "no" }) ? "no" : "ask"
      end

      # @return [Array<Hash>] part, label, count, rule: what is renewed with the kit and is not in it
      def lacks
        @cylinder.construction.renewed.filter_map do |part|
          missing = @cylinder.quantity(part) - contents.dig(part["id"], "count").to_i
          item = Tables.find("kit_items", part["id"])
          next if missing <= 0 || item.nil?
          {part: part["id"], label: item["label"], count: missing, rule: item["rule"]}
        end
      end

      # @return [Hash, nil] both bores, the difference and what it would do, for a twin of another measure
      def near_miss
        gap = @kit.fields["bore"] - @cylinder.bore_mm
        pair = Circuit::NearMiss.pair(@cylinder.bore_mm)
        return if gap.abs <= SAME_MM || pair.nil? || pair != Circuit::NearMiss.pair(@kit.fields["bore"])
        {
          kit_mm: @kit.fields["bore"],
          bore_mm: @cylinder.bore_mm,
          hundredths: (gap * 100).round,
          inch: pair["inch"],
          told_apart_by: pair["told_apart_by"],
          effect: gap.positive? ? "jam" : "leak",
          says:
            if gap.positive?
              "The kit is larger: the piston jams, or a lip folds at the mouth."
            else
              "The kit is smaller: the cups let fluid by."
            end
        }
      end

      def to_h
        {
          item: @kit.id,
          name: @kit.name,
          place: @kit.place,
          price_minor: @kit.price_minor,
          free: @kit.free,
          verdict: verdict,
          reasons: reasons.sort_by { |reason| (reason.does == "no") ? 0 : 1 }.map(&:to_h),
          lacks: lacks,
          holds: contents.keys.map { |part| Tables.find("kit_items", part)["label"] },
          make: @kit.fields["make"],
          near_miss: near_miss,
          grease: grease
        }.compact
      end

      # @return [String, nil] what has to be said of the sachet in it
      def grease
        sachet = @kit.fields["grease"]
        return unless sachet && @cylinder.family
        word = Fluid::Compatibility.lubricant(sachet, @cylinder.family)
        "The sachet in it is #{Wording.inside(Tables.find("lubricants", sachet)["label"])}; in " \
          "#{@cylinder.family} fluid: #{word["label"]}."
      end

      private

      def contents
        @kit.fields["contents"]
      end

      def no(id, text)
        Reason.new(id: id, does: "no", text: text)
      end

      def ask(id, text)
        Reason.new(id: id, does: "ask", text: text)
      end

      def construction
        wanted = @cylinder.construction
        return if @kit.fields["construction"] == wanted.id
        no(
          "construction",
          "It is for: #{Cylinder::Construction.find(@kit.fields["construction"]).label}. This is: #{wanted.label}."
        )
      end

      def bore
        gap = @kit.fields["bore"] - @cylinder.bore_mm
        return if gap.abs <= SAME_MM
        sizes = "It is for #{Said.mm(@kit.fields["bore"], "g")}, the cylinder is #{Said.mm(@cylinder.bore_mm, "g")}"
        return no("bore", "#{sizes}.") unless near_miss
        no(
          "near_miss",
          "#{sizes}: #{Said.mm(near_miss[:hundredths].abs / 100.0, 2)} apart. #{near_miss[:says]} Told apart by " \
            "#{near_miss[:told_apart_by]}."
        )
      end

      # A bore that was only measured may be its twin.
      def nominal
        return unless @cylinder.unproven
        ask("nominal", "The cylinder's bore is not proven: #{@cylinder.unproven}")
      end

      def materials
        return [ask("family", "The fluid's family is not known: read the cap first.")] unless @cylinder.family
        contents
          .select { |_, line| line.key?("material") }
          .group_by { |_, line| line["material"] }
          .filter_map do |material, lines|
            material_reason(
              material,
              lines.map { |id, _| Wording.inside(Tables.find("kit_items", id)["label"]) }.join(", ")
            )
          end
      end

      def material_reason(material, parts)
        if material == Cylinder::KitContents::UNMARKED
          return ask(
            "unmarked",
            "The rubber of #{parts} is not marked: not used until it is known to suit #{@cylinder.family}."
          )
        end
        word = Fluid::Compatibility.seal(material, @cylinder.family)
        case word["does"]
        when "block"
          no("material", "#{material} of #{parts} in #{@cylinder.family} fluid: #{word["label"]}.")
        when "ask"
          ask("material", "#{material} of #{parts} in #{@cylinder.family} fluid: #{word["label"]}.")
        when "place"
          unless parts == "dust boot"
            no("material", "#{material} in #{@cylinder.family} fluid: #{word["label"]}, and #{parts} is wetted.")
          end
        end
      end

      def spring
        has = @kit.fields["spring"]
        return if @cylinder.spring == has
        if @cylinder.spring == "unknown"
          return ask(
            "spring",
            "It is the variant #{(has == "fitted") ? "with a" : "without"} spring; whether this cylinder has one " \
              "is not known. Check the exploded drawing."
          )
        end
        no(
          "spring",
          if has == "fitted"
            "It is the variant with a spring; this cylinder has none."
          else
            "It is the variant without a spring; this cylinder has one."
          end
        )
      end

      # Only where the kit is for certain years.
      def year
        from, to = @kit.fields.values_at("from_year", "to_year")
        return unless from || to
        for_years = "It is for model years #{years_said(from, to)}"
        return ask("year", "#{for_years}; the year of this cylinder is not in the record.") unless @cylinder.year
        return if @cylinder.year.between?(from || 0, to || Float::INFINITY)
        no("year", "#{for_years}; this cylinder is of #{@cylinder.year.round}.")
      end

      def years_said(from, to)
        return "up to #{to.round}" unless from
        to ? "#{from.round} to #{to.round}" : "from #{from.round} on"
      end

      # Only where the kit is for one side.
      def side
        wanted = @kit.fields["side"]
        return if wanted.nil? || wanted == @cylinder.side
        for_side = "It is for a #{wanted} lever"
        return ask("side", "#{for_side}; the side of this one is not in the record.") unless @cylinder.side
        no("side", "#{for_side}; this is the #{@cylinder.side} one.")
      end

      def piston
        return unless @cylinder.piston_wanted && !contents.key?("piston")
        no("piston", "There is no piston in it, and this job renews the piston.")
      end

      def other_piston
        return unless @kit.fields["make"] == "other_maker" && contents.key?("piston")
        ask("other_piston",
          "Its piston is from another maker: length, grooves and ports have to match the old one. A lead " \
          "mechanic decides, and the record says that the part is not the maker's.")
      end
    end
  end
end
