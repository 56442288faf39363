# frozen_string_literal: true

module Sandbag
  module Feel
    # Force and travel at the finger. `id` is the journal entry it came from; `gauge` that a gauge read the travel, and
    # not a ruler; `pull` the entry of the gauge's pull that it is one of; `hung` that a weight made the force;
    # `step_mm` the step of the ruler, where it was said.
    Reading = Struct.new(:id, :force_n, :travel_mm, :gauge, :pull, :hung, :step_mm, keyword_init: true) do
      # Travel is read to this, mm: a ruler held by hand, or its step where that is coarser, since what is rounded is
      # anywhere within its step. [default] docs/physics.md 7
      def travel_error_mm
        return 0.05 if gauge
        [0.15, Even.error(step_mm || 0)].max
      end

      # Force is read to this share; a weight is known better than it hangs square. [default] docs/physics.md 7
      def force_error_n
        (hung ? 0.02 : 0.015) * force_n
      end

      # How well it is read is known, and need not be told from how it scatters.
      def known_error?
        !step_mm.nil? && !gauge
      end
    end
  end
end
