# frozen_string_literal: true

module Sandbag
  module Choose
    # What speaks against a thing from the shelf for a line of the pull list.
    class Objections
      # @param choose [Stage]; today [Date]
      def initialize(choose, today)
        @choose = choose
        @sheet = choose.sheet
        @today = today
        freeze
      end

      # @return [Array(String, String)] what is wrong with it, and what is only in doubt; each may be nil
      def to(line, item)
        return ["it is a #{item.kind}, not a #{line.kind || "thing from the shelf"}", nil] unless kind?(line, item)
        case item.kind
        when "kit" then to_kit(line, item)
        when "bottle" then to_bottle(item)
        when "cylinder" then UnitMatch.objections(item.fields, @sheet, family)
        when "hose" then HoseMatch.objections(item.fields, @sheet.values(@sheet.part(line.id.delete_prefix("hose."))),
          @sheet.kind)
        when "washer" then WasherMatch.objections(item.fields,
          @sheet.parts_of("line").map { |part| @sheet.values(part) })
        when "nipple" then NippleMatch.objections(item.fields, @sheet)
        when "part" then to_part(line, item)
        when "tool", "syringe" then to_tool(line, item)
        else [nil, nil]
        end
      end

      private

      # A syringe is looked for among the tools, but hangs in a place of its own.
      def kind?(line, item)
        line.kind == item.kind || (line.kind == "tool" && item.kind == "syringe")
      end

      # @return [String, nil]
      def family
        @choose.family
      end

      def to_kit(line, item)
        no, ask = KitMatch.new(item, line.unit).reasons.partition { |reason| reason.does == "no" }
        [no.first&.text, (ask.map(&:text).join(" ") if ask.any?)]
      end

      # @return [String, nil] of a tool whose size is written down, for a line that knows the right ones
      def wrong_size(line, item)
        size = item.fields["size"]
        return if size.nil? || line.sizes.nil? || size.scan(%r{\d+(?:/\d+)?}).intersect?(line.sizes)
        "its size is written down as #{size}; here it is #{line.sizes.join(" or ")}"
      end

      def to_bottle(item)
        return ["no fluid is chosen yet", nil] unless @choose.fluid
        chosen, held = [@choose.fluid, item.fields["fluid"]].map { |id| Tables.find("fluids", id) }
        return ["it holds #{held["label"]}; #{chosen["label"]} goes in", nil] unless chosen == held
        bottle = Fluid::Bottle.new(item, @today, clutch: @sheet.clutch?)
        [bottle.past, bottle.shaken]
      end

      def to_part(line, item)
        [("it is not #{Wording.inside(line.label)}" unless item.fields["thing"] == line.thing), nil]
      end

      def to_tool(line, item)
        return "it is not #{line.label}", nil unless item.fields["tool"] == line.tool
        return nil, wrong_size(line, item) if wrong_size(line, item)
        return nil, nil if item.kind == "tool" || item.fields["family"] == family
        [
          "it is marked #{item.fields["family"]} and never crosses over to #{family || "a fluid that is not known"}",
          nil
        ]
      end
    end
  end
end
