# frozen_string_literal: true

module Sandbag
  module Feel
    # Force and travel at the finger. `id` is the journal entry it came from; `gauge` that a gauge read the travel, and
    # not a ruler; `pull` the entry of the gauge's pull that it is one of.
    Reading = Struct.new(:id, :force_n, :travel_mm, :gauge, :pull, keyword_init: true) do
      # Travel is read to this, mm. [default] docs/physics.md 7
      def travel_error_mm
        gauge ? 0.05 : 0.15
      end

      # Force is read to this share. [default] docs/physics.md 7
      def force_error_n
        0.015 * force_n
      end
    end
  end
end
