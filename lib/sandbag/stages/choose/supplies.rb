# frozen_string_literal: true

module Sandbag
  module Choose
    # What the shelf has for a job: kits that fit, bottles that are enough, tools, and what has to be bought.
    class Supplies
      # Kinds that a job uses up; tools and syringes are only looked for.
      RESERVED = %w[kit cylinder hose washer nipple bottle].freeze

      # @param choose [Stage]; stock [Shelf::Stock]; today [Date]
      def initialize(choose, stock, today:)
        @choose = choose
        @sheet = choose.sheet
        @stock = stock
        @today = today
        @objections = Objections.new(choose, today)
        freeze
      end

      # @return [Array<KitMatch>] every kit on the shelf against the cylinder the job takes apart, the best first
      def kits
        cylinder = @choose.cylinder
        return [] unless cylinder
        matches = @stock.of("kit").map { |kit| [kit, KitMatch.new(kit, cylinder)] }
        matches
          .sort_by do |kit, match|
            [%w[fits ask no].index(match.verdict), kit.free.positive? ? 0 : 1, match.near_miss ? 0 : 1, kit.name]
          end
          .map(&:last)
      end

      # @return [BottlePlan, nil] nil until a fluid is chosen, or when the fluid is left alone
      def bottles
        line = @choose.pull_list.find("fluid")
        line && @choose.fluid &&
          BottlePlan.new(
            line.count - pulled_count("fluid"),
            @choose.fluid,
            @stock.of("bottle"),
            today: @today,
            clutch: @sheet.clutch?
          )
      end

      # @return [Array<Hash>] pull list lines with what the shelf has for each and what was pulled
      def lines
        @choose.pull_list.lines.flat_map { |line| [line_view(line), *((line.id == "kit") ? lacking : [])] }
      end

      # @return [Array<Hash>] what was pulled for a line that the job no longer has: the route has changed since
      def stale
        ids = lines.map { |line| line[:id] }
        @choose.pulled.reject { |entry| ids.include?(entry.data["line"]) }
          .map { |entry| {line: entry.data["line"], **pulled_view(entry)} }
      end

      # @return [Array<Hash>] label, count, unit of what has to be bought
      def buy
        lines.filter_map do |line|
          if line[:short].positive?
            {label: line[:label], detail: line[:detail], count: line[:short], unit: line[:unit]}.compact
          end
        end
      end

      # Refuses a thing that is not on the shelf or not of the line's kind, a kit that does not fit, fluid of another
      # class, a tool of another name or family, and, without a named reason, what somebody has to look at first.
      # @param entry [Job::Entry] of kind pulled, with an item
      # @return [Job::Entry] with the count that is promised
      def admit(entry)
        line = @choose.pull_list.find(entry.data["line"])
        item = @stock.find(entry.data["item"])
        unless item
          raise Refusal.at("data/item", "there is no “#{entry.data["item"]}” on the shelf", "a thing on the shelf")
        end
        wrong, doubt = @objections.to(line, item)
        raise Refusal.at("data/item", "#{item.name}: #{wrong}", "another one") if wrong
        if doubt && entry.data["reason"].nil?
          raise Refusal.at(
            "data/reason",
            "#{item.name}: #{doubt}",
            "a reason, in words, why it may be used all the same"
          )
        end
        entry.with(data: entry.data.merge("count" => entry.data["count"] || count_of(line, item)))
      end

      def to_h
        {
          cylinder: cylinder_view,
          kits: kits.map(&:to_h),
          check: check.to_h,
          fluids: fluids,
          notes: notes,
          methods: methods_view,
          bottles: bottles&.to_h,
          joints: joints,
          lines: lines.map(&:compact),
          buy: buy,
          stale: stale,
          materials: materials
        }.compact
      end

      private

      def check
        FluidCheck.new(@sheet, today: @today, reading: @choose.water_reading,
          most_months: @choose.job.fluid_months)
      end

      def known?
        @choose.stamped != "unknown"
      end

      def fluids
        known? ? FluidChoice.judged(@choose.stamped, abs: @sheet.abs?) : []
      end

      def notes
        known? ? FluidChoice.notes(@choose.stamped, @sheet.value("fluid", "found"), abs: @sheet.abs?) : []
      end

      def methods_view
        @choose.bleed_methods.map { |row| {id: row["id"], label: row["label"]} }
      end

      def joints
        Circuit::Fittings.new(@sheet).joints.map(&:to_h)
      end

      def cylinder_view
        cylinder = @choose.cylinder
        cylinder &&
          {
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
        kit = pulled_items("kit").first || @stock.find(kits.first&.to_h&.fetch(:item))
        kit ? kit.fields["contents"].values.filter_map { |line| line["material"] }.uniq : []
      end

      def pulled_of(line_id)
        @choose.pulled.select { |entry| entry.data["line"] == line_id }
      end

      def pulled_items(line_id)
        pulled_of(line_id).filter_map { |entry| entry.data["item"] && @stock.find(entry.data["item"]) }
      end

      def pulled_count(line_id)
        pulled_of(line_id).sum { |entry| entry.data["count"] || 0 }
      end

      def line_view(line)
        pulled = pulled_of(line.id).map { |entry| pulled_view(entry) }
        options = options_of(line)
        taken = taken_by_tick(line, options)
        {
          id: line.id,
          group: line.group,
          label: line.label,
          detail: line.detail,
          count: line.count,
          unit: (line.kind == "bottle") ? "mL" : "",
          needed: line.needed || false,
          instead: line.instead && instead_view(line.instead),
          options: options,
          pulled: pulled,
          done: @choose.on_bench?(line),
          short: short(line, options, pulled),
          takes: taken.map { |option| option[:item] },
          doubtful: taken.find { |option| option[:doubt] }&.fetch(:item)
        }
      end

      # What a tick takes: every bottle of the plan, else the first thing that fits, sure before doubtful.
      def taken_by_tick(line, options)
        right = options.select { |option| option[:wrong].nil? && option[:free].positive? }
        planned = (line.kind == "bottle" && bottles) ? bottles.to_h[:picked].map { |bottle| bottle[:item] } : []
        return right.select { |option| planned.include?(option[:item]) } if planned.any?
        [right.find { |option| option[:doubt].nil? } || right.first].compact
      end

      def instead_view(instead)
        {label: Tables.find("tools", instead["tool"])["label"], risk: instead["risk"]}
      end

      def pulled_view(entry)
        item = @stock.find(entry.data["item"])
        {
          entry: entry.id,
          item: item&.id,
          name: item&.name,
          count: entry.data["count"],
          instead: entry.data["instead"],
          reason: entry.data["reason"]
        }.compact
      end

      # Must parts that the kit lacks are bought apart.
      def lacking
        match = kit_in_hand
        return [] unless match
        match
          .lacks
          .reject { |lack| lack[:rule] == "supplied" || lack[:part] == "crush_washer" }
          .map do |lack|
            must = lack[:rule] == "must"
            line =
              line_view(
                @choose.pull_list.apart(
                  lack[:part],
                  count: lack[:count],
                  detail: must ? "not in the kit, renewed in any case" : "not in the kit; only if the old one fails"
                )
              )
            {**line, short: (must && !line[:done]) ? lack[:count] : 0}
          end
      end

      def kit_in_hand
        item = pulled_items("kit").first
        item ? KitMatch.new(item, @choose.cylinder) : kits.find { |match| match.verdict != "no" }
      end

      def options_of(line)
        return [] unless line.kind
        candidates = @stock.of(line.kind) + ((line.kind == "tool") ? @stock.of("syringe") : [])
        candidates.select { |item| concerns?(line, item) }.map do |item|
          wrong, doubt = @objections.to(line, item)
          {item: item.id, name: item.name, place: item.place, free: item.free, wrong: wrong, doubt: doubt}.compact
        end
      end

      # Things worth showing beside a line, right or wrong.
      def concerns?(line, item)
        case item.kind
        when "tool", "syringe" then item.fields["tool"] == line.tool
        when "bottle" then @choose.fluid.nil? || item.fields["fluid"] == @choose.fluid
        else true
        end
      end

      def count_of(line, item)
        return 1 unless RESERVED.include?(item.kind)
        wanted = line.count - pulled_count(line.id)
        bottle = bottles&.to_h&.fetch(:picked)&.find { |each| each[:item] == item.id } if item.bottle?
        if bottle
          bottle[:ml]
        else
          item.bottle? ? [wanted, item.free].min : wanted
        end
      end

      def short(line, options, pulled)
        return 0 if line.id == "tool" || pulled.any? { |each| each[:item].nil? }
        return (bottles ? bottles.short_ml : 0) if line.kind == "bottle"
        if line.kind.nil? ||
            (
              line.kind == "tool" &&
                (line.needed == false || pulled.any? || options.any? { |option| option[:wrong].nil? })
            )
          return 0
        end
        have = options.reject { |option| option[:wrong] }.sum { |option| option[:free] }
        [line.count - pulled.sum { |each| each[:count] || 0 } - have, 0].max
      end
    end
  end
end
