# frozen_string_literal: true

module Sandbag
  module Cylinder
    # A part as it lies in the tray: how many are expected, whether it is used once, and which way it goes back.
    class Part
      # @attr id [String] with the unit it is of, where there are several; plain [String] of the construction
      attr_reader :id, :plain, :label, :quantity, :least, :most, :once, :feature, :faces, :lube, :check

      # @param row [Hash] of a construction's parts
      # @param unit [OnBench]; quantity [Integer, nil] where the circuit knows better
      def initialize(row, unit:, quantity: nil)
        @plain = row["id"]
        @id = unit.named(plain)
        @label = unit.tagged(row["label"])
        @quantity = quantity || row["quantity"]
        @least = [row.fetch("least", @quantity), @quantity].min
        @most = [row.fetch("most", @quantity), @quantity].max
        @once = row["once"]
        @feature, @faces = (row["way"] || {}).values_at("feature", "faces")
        @lube = row["lube"] || []
        @check = row["check"]
        freeze
      end

      # Always renewed: the old one is for the bin.
      def renewed?
        %w[new kit].include?(once)
      end

      # Comes loose but is not laid into the tray.
      def stays?
        once == "stays"
      end
    end
  end
end
