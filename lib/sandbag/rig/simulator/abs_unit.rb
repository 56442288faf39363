# frozen_string_literal: true

module Sandbag
  module Rig
    # The ABS unit of a simulated circuit: air behind its valves, which no lever feels and no stroke reaches. Where its
    # valves are cycled the air goes into the line, and fluid takes its place.
    class AbsUnit
      # Where it sits, as a share of the first way out: its place is not in the record. [default]
      AT = 0.3
      # What cycled valves give a second, mL. [default]
      GIVES_ML_S = 0.05

      # at_mm: along the first way; ml: of air behind the valves; fluid_ml: that took its place since the start
      attr_reader :at_mm, :ml, :fluid_ml

      # @param path [Plumbing::Path] the first way out; ml [Float]
      def initialize(path, ml)
        @at_mm = AT * path.length_mm
        @ml = ml
        @fluid_ml = 0.0
      end

      # @return [Float] mL of air that go into the line in so many seconds, for as much fluid
      def cycle(seconds)
        given = [ml, GIVES_ML_S * seconds].min
        @ml -= given
        @fluid_ml += given
        given
      end
    end
  end
end
