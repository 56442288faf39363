# frozen_string_literal: true

module Sandbag
  module Bleed
    # What the catch jar says a stroke really moves: millilitres since it was last read, by strokes since.
    class JarSum
      # A jar is read to this, mL. [default]
      READ_TO_ML = 1.0
      # Too few strokes say nothing.
      LEAST_STROKES = 3
      # A stroke moves no less than this share of what the cylinder sweeps, and no more than all of it. [default]
      LEAST_SHARE = 0.3

      extend Attributes

      # full_ml: what the cylinder sweeps in a stroke; held_ml: in the jar when it was last read; read_at: strokes
      # counted then; stroke_ml: the real one, nil until the jar said; error_ml: of it; bound: it was held to full_ml or
      # LEAST_SHARE of it
      attributes :full_ml, :held_ml, :read_at, :stroke_ml, :error_ml, :bound

      def initialize(full_ml:, held_ml: 0.0, read_at: 0, stroke_ml: nil, error_ml: nil, bound: false)
        @full_ml = full_ml
        @held_ml = held_ml
        @read_at = read_at
        @stroke_ml = stroke_ml
        @error_ml = error_ml
        @bound = bound
        freeze
      end

      # @return [JarSum] after the jar was read at so many strokes; emptied: it was emptied then
      def read(held, strokes, emptied: false)
        since = strokes - read_at
        next_held = emptied ? 0.0 : held
        return with(held_ml: next_held, read_at: strokes) if since < LEAST_STROKES
        measured = (held - held_ml) / since
        real = measured.clamp(LEAST_SHARE * full_ml, full_ml)
        with(held_ml: next_held, read_at: strokes, stroke_ml: real, error_ml: READ_TO_ML / since,
          bound: real != measured)
      end

      # @return [String, nil] what is wrong with a reading
      def objection(held, strokes)
        since = strokes - read_at
        return "the jar held #{Said.ml(held_ml, 1)} before: it cannot hold less now" if held < held_ml
        return if since >= LEAST_STROKES
        "#{since} strokes since the jar was last read say nothing: #{LEAST_STROKES} at least"
      end

      # @return [String, nil] what it says of the stroke
      def says
        return unless stroke_ml
        said =
          "By the jar a stroke moves #{Said.ml(stroke_ml, 2)} ± #{Said.ml(error_ml, 2)}; the cylinder sweeps " \
            "#{Said.ml(full_ml, 2)}."
        bound ? "#{said} Read further off than that can be: count and jar do not belong together." : said
      end

      def to_h
        {held_ml: held_ml, stroke_ml: stroke_ml, error_ml: error_ml, bound: bound, says: says}.compact
      end
    end
  end
end
