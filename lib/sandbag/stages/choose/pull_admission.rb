# frozen_string_literal: true

module Sandbag
  module Choose
    # Whether a thing on the shelf may be pulled for a line of the list, and how much of it.
    class PullAdmission
      # Kinds that a job uses up; tools and syringes are only looked for.
      RESERVED = %w[kit cylinder hose washer part nipple bottle].freeze

      # @param choose [Stage]; stock [Shelf::Stock]; objections [Objections]; lines [ShelfLines]
      def initialize(choose, stock, objections, lines)
        @choose = choose
        @stock = stock
        @objections = objections
        @lines = lines
        freeze
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
        entry.with(data: entry.data.merge({
          "count" => entry.data["count"] || count_of(line, item),
          "construction" => item.fields["construction"].then { |known| known if line.id == "cylinder" }
        }.compact))
      end

      private

      def count_of(line, item)
        return 1 unless RESERVED.include?(item.kind)
        wanted = line.count - @lines.pulled_count(line.id)
        bottle = @lines.bottles&.to_h&.fetch(:picked)&.find { |each| each[:item] == item.id } if item.bottle?
        if bottle
          bottle[:ml]
        else
          item.bottle? ? [wanted, item.free].min : wanted
        end
      end
    end
  end
end
