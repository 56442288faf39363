# frozen_string_literal: true

module Sandbag
  module Ask
    # What the rider's own words say should be tested first.
    module ComplaintWords
      # @param text [String, nil] the complaint; side [String] brake or clutch
      # @return [Array<String>] findings: the first for each of the words, as they come in, then the second for each
      def self.findings(text, side)
        said = text.to_s.downcase
        rows = Tables.rows("complaint_words").select { |row| row.fetch("side", side) == side }
          .filter_map { |row| (place = place_of(row, said)) && [place, row] }
        named = rows.sort_by(&:first).map { |_, row| row["first"] }
        Array.new(named.map(&:size).max.to_i) { |turn| named.filter_map { |each| each[turn] } }.flatten.uniq
      end

      # @return [Integer, nil] where the first of its words begins
      def self.place_of(row, said)
        row["words"].filter_map { |word| said =~ /\b#{Regexp.escape(word)}/ }.min
      end
      private_class_method :place_of
    end
  end
end
