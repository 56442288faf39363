# frozen_string_literal: true

module Sandbag
  module Cylinder
    # One step of a strip: what is done, with which tool, what flies, leaks or gets lost, and which parts come out.
    class Step
      WORDS = %w[does flies leaks lost cover caution].freeze

      # @attr takes [Array<Part>]; cover [String, nil] what is open to the air after it; needs [String, nil] answer of
      #   the intake without which it is not done;
      # unit [OnBench, nil] nil for what is done once for all; id, plain [String] with and without its name; together
      # [String, nil] of steps_together.yml
      attr_reader :id, :plain, :unit, :label, :tools, :takes, :needs, :together, *WORDS

      # @param row [Hash] of a construction's steps or of strip_actions.yml; unit [OnBench, nil]
      # @param takes [Array<Part>]; fits [Boolean] they hold the unit on the machine and go back in Fit
      def initialize(row, unit:, takes: [], fits: false)
        @unit = unit
        @plain = row["id"]
        @id = unit ? unit.named(plain) : plain
        @label = unit&.at ? "#{unit.label}: #{Wording.inside(row["label"])}" : row["label"]
        @tools = row["tools"]
        @takes = takes
        @fits = fits
        @needs = row["needs"]
        @together = row["together"]
        @lever = row["lever"] || false
        @does, @flies, @leaks, @lost, cover, @caution = row.values_at(*WORDS)
        @cover = (cover && unit) ? unit.tagged(cover) : cover
        freeze
      end

      # It is done with the lever, which is not locked before it.
      def lever?
        @lever
      end

      # Its parts go back in Fit, not in Build.
      def fits?
        @fits
      end

      def to_h
        words = WORDS.to_h { |word| [word.to_sym, public_send(word)] }
        words[:caution] &&= Tables.find("cautions", caution)["text"]
        {
          id: id,
          label: label,
          tools: tools.map { |tool| Tables.find("tools", tool)["label"] },
          takes: takes.map(&:id),
          **words
        }.compact
      end
    end
  end
end
