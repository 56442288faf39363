# frozen_string_literal: true

module Sandbag
  # What the trade says beside the work: cautions of a stage, and what is never advised.
  module Advice
    # @param stage [String]; circuit [Circuit::Sheet]
    # @return [Array<String>] cautions that concern this circuit, in the table's order
    def self.cautions(stage, circuit)
      Knowledge
        .table("cautions")
        .select { |row| row["stages"].include?(stage) && concerns?(row["needs"], circuit) }
        .map { |row| row["text"] }
    end

    # @param at [String] where it is said
    # @return [Array<String>]
    def self.never(at)
      Knowledge.table("never_advised").select { |row| row["at"].include?(at) }.map { |row| row["text"] }
    end

    def self.concerns?(needs, circuit)
      case needs
      when nil then true
      when "pads" then !circuit.clutch?
      when "abs" then circuit.abs?
      when "hard_use" then %w[kart snow].include?(circuit.kind.safety)
      end
    end
    private_class_method :concerns?
  end
end
