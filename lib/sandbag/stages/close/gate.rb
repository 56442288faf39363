# frozen_string_literal: true

module Sandbag
  module Close
    # One release gate, or one step at the end, of a job.
    #
    # @attr row [Hash] of gates.yml; id, label [String] its own, where there is one for each nipple; state [Symbol]
    #   :met, :open or :not_touched; why [String, nil] why it is open; known [Boolean] another stage says; name [String,
    #   nil] who confirmed it, where that takes a name; denied [Boolean] somebody said that it is not so
    #   detail [String] what has to be true, with the figures of this kind of circuit
    Gate = Struct.new(:row, :id, :label, :detail, :state, :why, :known, :name, :denied,
      keyword_init: true) do
      # Holds nothing up any more.
      def met
        state != :open
      end

      # Worked out, here or where another stage proved it; or not this job's to answer.
      def computed?
        row["settled"] == "computed" || known || state == :not_touched
      end

      # Confirmed with the others of its place by one answer: not one that is looked at alone.
      def together?
        plain? && !row["alone"]
      end

      # Confirmed with the others of its row by one answer, such as every nipple.
      def with_its_like?
        plain? && row.key?("round")
      end

      # Neither signed for by a person nor found wrong.
      def plain?
        !computed? && !row["by_name"] && !denied
      end

      # Done at the end, rather than looked at.
      def step?
        row["step"] == true
      end
    end
  end
end
