# frozen_string_literal: true

module Sandbag
  module Close
    # What the Close page shows.
    class View
      # @param close [Stage]
      def initialize(close)
        @close = close
        freeze
      end

      # @return [Hash]
      def to_h
        signature = @close.signature
        {
          cures: cures,
          gates: @close.gates.map { |gate| gate_view(gate) },
          ready: @close.ready?,
          signed_by: signature&.data&.fetch("name"),
          signed_at: signature&.at
        }.compact
      end

      private

      # Flags that this job was to cure: what has to be true before each is gone.
      def cures
        @close.cures.map { |flag| {id: flag.id, label: flag.label, lifts: flag.row["lifts"]} }
      end

      def gate_view(gate)
        caution = gate.row["caution"] && Knowledge.find("cautions", gate.row["caution"])["text"]
        {
          id: gate.id,
          label: gate.label,
          detail: gate.row["detail"],
          settled: gate.computed? ? "computed" : "confirmed",
          met: gate.met,
          why: gate.why,
          caution: caution
        }.compact
      end
    end
  end
end
