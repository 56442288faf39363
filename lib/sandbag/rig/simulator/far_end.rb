# frozen_string_literal: true

module Sandbag
  module Rig
    # What stands at a far end of a simulated circuit: its nipple, what is fitted to it, and the clear hose.
    class FarEnd
      # Fluid that a jar is given so that it stands over the end of a tube, mL. [default]
      COVER_ML = 10.0

      # path: [Plumbing::Path]; turns: that the nipple is open; fitted: row of practice_fits.yml; hose: [ClearHose]
      attr_accessor :path, :turns
      attr_reader :fitted, :hose

      # @param path [Plumbing::Path]; hose [ClearHose]
      def initialize(path, hose)
        @path = path
        @hose = hose
        @turns = 0.0
        fit("hose")
      end

      # @param id [String] of practice_fits.yml
      # Refuses what does not fit a nipple.
      def fit(id)
        @fitted = Tables.fetch("practice_fits", id, "what", "“#{id}” is not something to fit to a nipple")
      end

      def open?
        turns.positive?
      end

      # Something comes back by it when the circuit draws.
      def draws?
        open? && fitted["draws"] != "nothing"
      end

      # Its tube's end stands in a jar: bubbles that come back are what went out before.
      def under_fluid?
        fitted["draws"] == "jar"
      end

      # Its hose hangs above the master: nothing runs out by itself, and air rises into it.
      def hung?
        fitted["draws"] == "hose"
      end

      # @param ml [Float] that the circuit draws; jar_ml [Float] that stands in the jar
      # @return [Array(Float, Float)] mL of fluid and of air that come back: out of the hose first, then out of the jar
      #   where the tube's end is under fluid, and air for what is short
      def draw_back(ml, jar_ml)
        return [0.0, ml] if fitted["draws"] == "air"
        fluid, bubbles = hose.give(ml, skip_air: hung?)
        short = ml - fluid - bubbles
        fluid += short.clamp(0.0, [jar_ml - fluid, 0.0].max) unless hung?
        [fluid, ml - fluid]
      end

      # @return [FarEnd] the same, to go on from apart
      def copy
        dup.tap { |other| other.instance_variable_set(:@hose, hose.copy) }
      end
    end
  end
end
