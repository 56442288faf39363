# frozen_string_literal: true

module Sandbag
  module Airway
    # What a shop holds with where good mechanics differ (docs/trade.md 10, knowledge/schools.yml).
    module Schools
      # @return [Array<Hash>] rows that leave a choice
      def self.open
        Tables.rows("schools").select { |row| row["answers"] }
      end

      # @param set [Hash{String => String}] what the shop has set
      # @return [Hash{String => String}] every school that leaves a choice, and the answer in force
      def self.followed(set)
        open.to_h { |row| [row["id"], set.fetch(row["id"], row["default"])] }
      end

      # @return [Integer] reservoirs that go through at least
      def self.reservoirs(set)
        Tables.find("schools", "passed")["amounts"].fetch(followed(set)["passed"])
      end

      # How far a shop leans to each method on a circuit.
      # @param dry [Boolean] the circuit was opened
      # @return [Hash{String => Integer}] over 0 sooner, under 0 later
      def self.leanings(set, kind, dry:)
        answers = followed(set)
        rows = open.select { |row| (row["prefers"] || row["avoids"]) && kind.suits?(row) && (dry || !row["dry"]) }
        named = ->(column) { rows.flat_map { |row| row.dig(column, answers[row["id"]]) || [] } }
        leanings = Hash.new(0)
        named.call("prefers").each { |method| leanings[method] += 1 }
        named.call("avoids").each { |method| leanings[method] -= 1 }
        leanings
      end

      # Refuses, at the school, one that is not known or leaves no choice, and an answer that is none.
      # @return [Hash{String => String}]
      def self.read(given)
        given.to_h do |id, answer|
          row = open.find { |each| each["id"] == id }
          raise Refusal.at(id, "there is no such school", open.map { |each| each["id"] }.join(", ")) unless row
          unless row["answers"].key?(answer)
            raise Refusal.at(id, "#{Wording.quoted(answer)} is not one of the answers", row["answers"].keys.join(", "))
          end
          [id, answer]
        end
      end
    end
  end
end
