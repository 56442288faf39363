# frozen_string_literal: true

module Sandbag
  module Circuit
    # Somewhere on a circuit where it can leak, be opened, be looked at or be worked on: one joint, one nipple, one hose
    # or pipe, one far end, or the reservoir.
    class Place
      extend Attributes

      KINDS = %w[joint nipple line far_end reservoir].freeze

      # kind: of KINDS; at: its name among places of its kind, kept as long as the circuit's parts keep theirs;
      # label: what a mechanic calls it; part: [Hash] of the sheet, where its own values stand; fitting: [String, nil]
      # what is there: banjo, stacked banjo, flared nut, nut (a cut hose's compression nut), feed hose, nipple or port
      # screw; lines: [Array<Hash>] hoses or pipes that end there; seals: [String, nil] crush_washers or square_seals;
      # above: on the master's side of the ABS unit; height_mm: [Float, nil] above the ground
      # splits: [String, nil] the line at whose lower end several others begin, where this is a joint of that splitter
      attributes :kind, :at, :label, :part, :fitting, :lines, :seals, :above, :height_mm, :splits

      def initialize(kind:, at:, label:, part:, above:, fitting: nil, lines: [], seals: nil, height_mm: nil,
        splits: nil)
        @kind = kind
        @at = at
        @label = label
        @part = part
        @fitting = fitting
        @lines = lines.freeze
        @seals = seals
        @above = above
        @height_mm = height_mm
        @splits = splits
        freeze
      end

      # @return [String] among all places of its circuit
      def id
        "#{kind}.#{at}"
      end

      def joint?
        kind == "joint"
      end

      # In or out of the ABS unit itself.
      def abs_unit?
        joint? && at.end_with?(".abs_in", ".abs_out")
      end

      # Pressed up by the lever; a feed hose is not.
      def pressed?
        fitting != "feed hose"
      end

      # A banjo bolt holds it, through one hose end or more.
      def banjo?
        !fitting.nil? && fitting.end_with?("banjo")
      end

      # @return [Integer] hoses or pipes that end there
      def hoses
        lines.size
      end

      # Sealing rings it takes: fittings on a banjo bolt + 1 (docs/physics.md 9).
      def washers
        banjo? ? [hoses, 1].max + 1 : 0
      end

      # An olive, and an insert in it, for each hose that was cut.
      def olives
        (fitting == "nut") ? hoses : 0
      end

      # @return [String, nil] what is counted out of it and into it
      def counted
        return "olives and inserts" if olives.positive?
        return unless banjo?
        (seals == "square_seals") ? "square-section seals" : "washers"
      end

      # @return [Hash] for a drawing: what it is, the hoses that end there, and for a hose or far end what feeds it
      def to_h
        {id: id, kind: kind, at: at, label: label, part: part["id"], fitting: fitting, from: part["from"],
         lines: lines.map { |line| line["id"] }, above: above, height_mm: height_mm}.compact
      end
    end
  end
end
