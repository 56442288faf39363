# frozen_string_literal: true

module Sandbag
  module Lookup
    # All that is looked up without a job, in the order of its groups.
    module Book
      # @return [Array<Entry>] of the tables
      def self.entries
        @entries ||= begin
          order = Tables.rows("lookup_groups").map { |row| row["id"] }
          [*Figures.all, *Materials.all, *Work.all]
            .sort_by.with_index { |entry, place| [order.index(entry.group), place] }.freeze
        end
      end

      # @param sheet [Circuit::Sheet, nil] of one circuit, whose record comes first
      # @return [Search] the tables are read for it once
      def self.search(sheet = nil)
        @search ||= Search.new(entries)
        sheet ? @search.after(Record.of(sheet)) : @search
      end

      # @param text [String] see Search; sheet [Circuit::Sheet, nil]
      # @return [Array<Hash>] groups, each with its entries: those with the best first
      def self.found(text, sheet = nil)
        search(sheet).find(text).group_by(&:group).map do |group, found|
          row = Tables.find("lookup_groups", group)
          {id: group, label: row["label"], default: row["default"] || false,
           entries: found.map { |entry| entry.to_h.slice(:id, :title, :says, :source).compact }}
        end
      end
    end
  end
end
