# frozen_string_literal: true

module Sandbag
  module Circuit
    # What the trade says beside the work: cautions of a stage, and what is never advised.
    module Advice
      # @param stage [String]; circuit [Circuit::Sheet]; hard_use [Boolean] of the machine, see machine_uses.yml
      # @return [Array<String>] cautions that concern this circuit, in the table's order
      def self.cautions(stage, circuit, hard_use: false)
        Tables
          .rows("cautions")
          .select { |row| row["stages"].include?(stage) && circuit.suits?(row) && (hard_use || !row["hard_use"]) }
          .map { |row| row["text"] }
      end

      # @param at [String] where it is said
      # @return [Array<String>]
      def self.never(at)
        Tables.rows("never_advised").select { |row| row["at"].include?(at) }.map { |row| row["text"] }
      end
    end
  end
end
