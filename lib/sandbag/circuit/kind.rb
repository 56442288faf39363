# frozen_string_literal: true

module Sandbag
  module Circuit
    # A kind of circuit: a row of knowledge/circuit_kinds.yml. Code asks what a kind has, never which one it is.
    class Kind
      attr_reader :id, :label, :far_end, :safety, :outlet, :control

      # @return [Array<Kind>]
      def self.all
        @all ||= Knowledge.table("circuit_kinds").to_h { |row| [row["id"], new(row)] }.freeze
        @all.values
      end

      # @return [Kind, nil]
      def self.find(id)
        all
        @all[id]
      end

      # @param row [Hash] of circuit_kinds.yml
      def initialize(row)
        @id, @label, @far_end, @safety, @outlet = row.values_at(*%w[id label far_end safety outlet])
        @control = Knowledge.find("controls", row["control"])
        @sole = row.fetch("sole", false)
        freeze
      end

      # A slave stands at the far end, not calipers.
      def clutch?
        far_end == "slave"
      end

      # Worked by foot: other limits of effort, and no grip to be reached.
      def foot?
        control["limb"] == "foot"
      end

      # Usually the machine's only brake. [default]
      def sole?
        @sole
      end

      # @return [Array<String>] kinds of part that such a circuit has exactly once
      def singles
        Sheet::SINGLE + [clutch? ? "slave" : "vehicle"]
      end

      # @return [String] kind of part at the far end
      def end_part
        clutch? ? "slave" : "caliper"
      end
    end
  end
end
