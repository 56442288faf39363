# frozen_string_literal: true

module App
  # Takes a list of machines or of parts in, after saying of each line what it would do. Nothing comes in while a line
  # is wrong; what is here already is passed over.
  class ListImport
    # @attr line [Integer]; name [String]; does [String] add, pass_over or refuse; says [String] why, or with what;
    #   take [Proc, nil] adds it
    Step = Struct.new(:line, :name, :does, :says, :take, keyword_init: true)

    # @param steps [Array<Step>]
    def initialize(steps)
      @steps = steps
    end

    # @return [Boolean] something was taken in
    def take
      return false if @steps.any? { |step| step.does == "refuse" }
      @steps.each { |step| step.take&.call }
      @steps.any?(&:take)
    end

    # @param taken [Boolean]
    # @return [Hash] rows (line, name, does, says) and counts of what they do
    def to_h(taken)
      {
        taken: taken,
        rows: @steps.map { |step| step.to_h.slice(:line, :name, :does, :says) },
        counts: %w[add pass_over refuse].to_h { |does| [does, @steps.count { |step| step.does == does }] }
      }
    end
  end
end
