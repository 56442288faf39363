# frozen_string_literal: true

module Sandbag
  module Ask
    # What the rider's own words say should be tested first.
    module ComplaintWords
      # @param text [String, nil] the complaint
      # @return [Array<String>] findings, in the order the words come in
      def self.findings(text)
        said = text.to_s.downcase
        rows = Knowledge.table("complaint_words").filter_map { |row| (place = place_of(row, said)) && [place, row] }
        rows.sort_by(&:first).flat_map { |_, row| row["first"] }.uniq
      end

      # @return [Integer, nil] where the first of its words begins
      def self.place_of(row, said)
        row["words"].filter_map { |word| said =~ /\b#{Regexp.escape(word)}/ }.min
      end
      private_class_method :place_of
    end
  end
end
