# frozen_string_literal: true

module Sandbag
  module Cylinder
    # What a kit holds: part => how many, and of which rubber where that matters (docs/trade.md 2.4).
    module KitContents
      MOST = 12

      # @param given [Hash] kit item => {count, material}
      # @return [Hash] kit item => {"count" => Integer, "material" => id of seals.yml or "unmarked"}
      # Refuses an empty kit, parts no kit holds, and rubber of no known kind.
      def self.read(given)
        raise Refusal.at("", "an empty kit", "at least one part") unless given.is_a?(Hash) && given.any?
        given.to_h do |id, line|
          row = Tables.fetch("kit_items", id, id, "no kit holds #{Wording.quoted(id)}")
          [id, Refusal.within(id) { line(row, line) }]
        end
      end

      UNMARKED = "unmarked"

      def self.line(row, line)
        rules = {"count?" => {"type" => "measure", "dimension" => "number", "min" => 1, "max" => MOST}}
        if row["rubber"]
          rules["material?"] = {
            "type" => "choice",
            "choices" => Tables.rows("seals").map { |seal| seal["id"] } + [UNMARKED]
          }
        end
        raise Refusal.at("", "not a line of a kit", "count, material") unless line.is_a?(Hash)
        read = DataReader.read(rules, line)
        {
          "count" => read.fetch("count", 1.0).round,
          "material" => (read.fetch("material", UNMARKED) if row["rubber"])
        }.compact
      end
      private_class_method :line
    end
  end
end
