# frozen_string_literal: true

module Sandbag
  module Close
    # What the owner is told by the kind of circuit and by the fluid in it (docs/trade.md 9.2, 14.2).
    module OwnerLines
      SECTIONS = %w[watch ride].freeze

      # @param section [String]; kind [Circuit::Kind]; family [String, nil] of the fluid; nil leaves out what is said of
      #   one family
      # @return [Array<String>]
      def self.of(section, kind, family)
        Tables.rows("owner_lines")
          .select { |row| row["section"] == section && kind.suits?(row) && for_family?(row, family) }
          .map { |row| row["text"] }
      end

      def self.for_family?(row, family)
        row["families"].nil? || row["families"].include?(family)
      end
      private_class_method :for_family?
    end
  end
end
