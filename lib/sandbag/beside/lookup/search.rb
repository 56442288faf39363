# frozen_string_literal: true

module Sandbag
  module Lookup
    # Finds entries by typed words, as they are typed: the last word may be unfinished. A word counts for more the fewer
    # entries have it, and where it stands in a title.
    class Search
      MOST = 40
      # What a word counts for in a title, among the further words, and in a sentence.
      TITLE, WORDS, SAYS = 4.0, 2.0, 1.0
      # A word that only stands for what was typed counts for less.
      MEANT = 0.6
      # Letters that a word needs to be found by its beginning.
      LEAST_LETTERS = 3
      # Words that tell nothing.
      EMPTY = %w[
        a an the of to for on in at by is are be it its how what which when may can do does i my with and or if not no
        there that this from into
      ].freeze

      # @param entries [Array<Entry>]
      def initialize(entries)
        @entries = placed(entries).freeze
        freeze
      end

      # @param first [Array<Entry>]
      # @return [Search] with further entries before these, which are not read again
      def after(first)
        dup.put_before(placed(first))
      end

      protected def put_before(placed)
        @entries = (placed + @entries).freeze
        freeze
      end

      # @param text [String] as typed; empty finds everything, in its order
      # @return [Array<Entry>] the best first
      def find(text)
        asked = Search.words(text)
        return @entries.map(&:first) if asked.empty?
        weights = asked.to_h { |word| [word, weight(word)] }
        @entries.map { |entry, places| [score(places, weights), entry] }.select { |score, _| score.positive? }
          .sort_by.with_index { |(score, _), index| [-score, index] }.first(MOST).map(&:last)
      end

      # @return [Array<String>] in small letters, without plural s, each once
      def self.words(text)
        text.downcase.scan(/[\p{L}\d]+(?:[.\/][\p{L}\d]+)*/).reject { |word| EMPTY.include?(word) }
          .map { |word| stem(word) }.uniq
      end

      def self.stem(word)
        (word.length > LEAST_LETTERS && word.end_with?("s") && !word.end_with?("ss")) ? word.delete_suffix("s") : word
      end
      private_class_method :stem

      private

      # @return [Array<Array(Entry, Array)>] each entry with what its words are worth
      def placed(entries)
        entries.map { |entry| [entry, places(entry)] }
      end

      def places(entry)
        words = [*entry.words, *Tables.find("lookup_groups", entry.group)["words"]]
        [[TITLE, entry.title], [WORDS, words.join(" ")], [SAYS, entry.says.join(" ")]]
          .map { |worth, text| [worth, Search.words(Said.plain(text))] }
      end

      def score(places, weights)
        weights.sum do |word, weight|
          weight * [best(places, word), *meant(word).map { |other| MEANT * best(places, other) }].max
        end
      end

      # @return [Array<String>] what else somebody may mean who types a word
      def meant(word)
        Tables.rows("search_words").select { |row| row["words"].include?(word) }.map { |row| row["id"] }
      end

      # @return [Float] where a word stands in an entry at its best; 0 where it does not
      def best(places, word)
        places.filter_map { |worth, words| worth if words.any? { |each| match?(each, word) } }.max || 0.0
      end

      def match?(there, typed)
        there == typed || (typed.length >= LEAST_LETTERS && there.start_with?(typed))
      end

      # The fewer have it, the more it tells.
      def weight(word)
        having = @entries.count { |_, places| best(places, word).positive? }
        Math.log((1.0 + @entries.size) / (1.0 + having)) + 0.1
      end
    end
  end
end
