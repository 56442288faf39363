# frozen_string_literal: true

module Sandbag
  module Fluid
    # Seal × fluid and lubricant × fluid (docs/trade.md 2.8).
    module Compatibility
      # @param seal_id [String] of seals.yml; family [String] glycol, silicone or mineral
      # @return [Hash] id, label, does of compatibility_words.yml
      def self.seal(seal_id, family)
        word("seals", seal_id, family)
      end

      # @return [Hash] the same for a lubricant
      def self.lubricant(lubricant_id, family)
        word("lubricants", lubricant_id, family)
      end

      def self.word(table, id, family)
        row = Tables.fetch(table, id, "", "#{id} is not known")
        Tables.find("compatibility_words", row.fetch(family))
      end
      private_class_method :word
    end
  end
end
