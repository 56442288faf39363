# frozen_string_literal: true

module Sandbag
  module Lookup
    # How the work is done and what is never done: bleeding methods, a stuck piston, stops, cautions, words.
    module Work
      def self.all
        [*answers, *methods, *stuck, *stops, *never, *cautions, *words]
      end

      def self.answers
        Tables.rows("counter_answers").map do |row|
          Entry.of("answers", row, row["title"], row["says"], words: row["words"])
        end
      end

      def self.methods
        Tables.rows("bleed_methods").map do |row|
          people = (row["people"] == 1) ? "one person" : "#{row["people"]} people"
          Entry.of("methods", row, row["label"], "#{people}, about #{row["minutes"]} min a point",
            "Steps: #{listed(row["cycle"])}", "Not for: #{Wording.inside(row["not_for"])}",
            "Goes wrong by: #{listed(row["fails"])}")
        end
      end

      def self.listed(labels)
        labels.map { |label| Wording.inside(label) }.join(", ")
      end

      def self.stuck
        Tables.rows("stuck_ladder").each_with_index.map do |row, place|
          Entry.of("stuck", row, "#{place + 1}. #{row["label"]}", row["does"], row["limit"])
        end
      end

      def self.stops
        Tables.rows("red_flags").map { |row| Entry.of("stops", row, row["label"], row["does"], row["lifts"]) }
      end

      def self.never
        Tables.rows("never_advised").map { |row| Entry.of("never", row, *split(row["text"])) }
      end

      def self.cautions
        Tables.rows("cautions").map { |row| Entry.of("cautions", row, *split(row["text"])) }
      end

      def self.words
        Tables.rows("glossary").map { |row| Entry.of("words", row, row["label"], row["says"]) }
      end

      # The first sentence is its title.
      def self.split(text)
        first, rest = text.split(/(?<=[.:]) /, 2)
        [first.delete_suffix(".").delete_suffix(":"), rest]
      end
      private_class_method :answers, :methods, :listed, :stuck, :stops, :never, :cautions, :words, :split
    end
  end
end
