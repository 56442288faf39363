# frozen_string_literal: true

module Sandbag
  module Choose
    # The pull list against the shelf, line by line: what is there for it, what lies on the bench, what is short. Each
    # is worked out once: job and shelf are of one moment.
    class ShelfLines
      # @param choose [Stage]; stock [Shelf::Stock]; objections [Objections]; today [Date]
      def initialize(choose, stock, objections, today:)
        @choose = choose
        @stock = stock
        @objections = objections
        @today = today
        @worked_out = {}
        freeze
      end

      # @return [BottlePlan, nil] nil until a fluid is chosen, or when the fluid is left alone
      def bottles
        @worked_out.fetch(:bottles) { @worked_out[:bottles] = bottle_plan }
      end

      # @return [Hash{PullList::Line => Array<KitMatch>}] every kit on the shelf against each unit that the job takes
      #   apart, the best first
      def kits
        @worked_out[:kits] ||= @choose.pull_list.lines.select { |line| line.kind == "kit" }
          .to_h { |line| [line, judged_kits(line.unit)] }.freeze
      end

      # @return [Array<Hash>] pull list lines with what the shelf has for each and what was pulled
      def to_a
        @worked_out[:lines] ||= @choose.pull_list.lines.flat_map do |line|
          [line_view(line), *((line.kind == "kit") ? lacking(line) : [])]
        end.freeze
      end

      # @return [Array<Hash>] what was pulled for a line that the job no longer has: the route has changed since
      def stale
        ids = to_a.map { |line| line[:id] }
        @choose.pulled.reject { |entry| ids.include?(entry.data["line"]) }
          .map { |entry| {line: entry.data["line"], **pulled_view(entry)} }
      end

      def pulled_count(line_id)
        pulled_of(line_id).sum { |entry| entry.data["count"] || 0 }
      end

      def pulled_items(line_id)
        pulled_of(line_id).filter_map { |entry| entry.data["item"] && @stock.find(entry.data["item"]) }
      end

      private

      def bottle_plan
        line = @choose.pull_list.find("fluid")
        line && @choose.fluid &&
          BottlePlan.new(line.count - pulled_count("fluid"), @choose.fluid, @stock.of("bottle"), today: @today,
            clutch: @choose.sheet.clutch?)
      end

      def judged_kits(cylinder)
        matches = @stock.of("kit").map { |kit| [kit, KitMatch.new(kit, cylinder)] }
        matches
          .sort_by do |kit, match|
            [%w[fits ask no].index(match.verdict), kit.free.positive? ? 0 : 1, match.near_miss ? 0 : 1, kit.name]
          end
          .map(&:last)
      end

      def pulled_of(line_id)
        @choose.pulled.select { |entry| entry.data["line"] == line_id }
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
      def lacking(kit)
        match = kit_in_hand(kit)
        return [] unless match
        match
          .lacks
          .reject { |lack| lack[:rule] == "supplied" || lack[:part] == "crush_washer" }
          .map do |lack|
            must = lack[:rule] == "must"
            line =
              line_view(
                @choose.pull_list.apart(
                  kit.unit.named(lack[:part]),
                  count: lack[:count],
                  detail: must ? "not in the kit, renewed in any case" : "not in the kit; only if the old one fails"
                )
              )
            {**line, short: (must && !line[:done]) ? lack[:count] : 0}
          end
      end

      def kit_in_hand(line)
        item = pulled_items(line.id).first
        item ? KitMatch.new(item, line.unit) : kits[line].find { |match| match.verdict != "no" }
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
        when "part" then item.fields["thing"] == line.thing
        when "bottle" then @choose.fluid.nil? || item.fields["fluid"] == @choose.fluid
        else true
        end
      end

      # A spare that is not there is not bought; a tool is bought for the job that cannot do without it.
      def wanted?(line)
        line.needed || !%w[part nipple tool].include?(line.kind)
      end

      def found?(options, pulled)
        pulled.any? || options.any? { |option| option[:wrong].nil? }
      end

      def short(line, options, pulled)
        return 0 if pulled.any? { |each| each[:item].nil? }
        return (bottles ? bottles.short_ml : 0) if line.kind == "bottle"
        return 0 if line.kind.nil? || !wanted?(line) || (line.kind == "tool" && found?(options, pulled))
        have = options.reject { |option| option[:wrong] }.sum { |option| option[:free] }
        [line.count - pulled.sum { |each| each[:count] || 0 } - have, 0].max
      end
    end
  end
end
