# frozen_string_literal: true

module Sandbag
  module Ask
    # The likelihood matrix (docs/trade.md 1.5) as steps: finding and value against cause, on a brake or on a clutch.
    module Matrix
      STEPS = {"++" => 2, "+" => 1, "." => 0, "-" => -1, "--" => -2}.freeze
      SIDES = {"b" => "brake", "c" => "clutch"}.freeze
      NEUTRAL = Hash.new(0).freeze

      # @return [Hash{String => Integer}] cause code => steps; only those that are not neutral
      def self.steps(finding, value, side)
        @steps ||= {}
        @steps[side] ||= Tables.rows("likelihoods").to_h { |row| [row["id"], row_steps(row, side)] }.freeze
        @steps[side].fetch("#{finding}.#{value}", NEUTRAL)
      end

      def self.row_steps(row, side)
        steps = row.except("id").transform_values { |cell| cell_steps(cell, side) }.reject { |_, count| count.zero? }
        Hash.new(0).merge(steps).freeze
      end

      # "++b +c" counts two on a brake, one on a clutch; without a letter a mark counts on both.
      def self.cell_steps(cell, side)
        cell.split.sum do |mark|
          counted_on = SIDES[mark[-1]]
          (counted_on.nil? || counted_on == side) ? STEPS.fetch(mark.delete("bc")) : 0
        end
      end
      private_class_method :row_steps, :cell_steps
    end
  end
end
