# frozen_string_literal: true

module Sandbag
  # Something a mechanic entered that cannot be used: where it is, what is wrong, what would be accepted.
  # Carries every problem found, so that one answer shows them all.
  class Refusal < StandardError
    # @attr pointer [String] slash-separated path of the field, "" for the whole
    Problem = Struct.new(:pointer, :message, :accepted, keyword_init: true)

    attr_reader :problems

    def self.at(pointer, message, accepted = nil)
      new([Problem.new(pointer: pointer, message: message, accepted: accepted)])
    end

    # What the block refuses, as seen from one level further out.
    # @param pointer [String] path of the thing the block looks at
    def self.within(pointer)
      yield
    rescue Refusal => refusal
      raise refusal.under(pointer)
    end

    def initialize(problems)
      @problems = problems.map { |problem| problem.dup.freeze }.freeze
      super(@problems.map { |problem| "#{problem.pointer}: #{problem.message}" }.join("; "))
    end

    # The same refusal as seen from one level further out.
    def under(prefix)
      Refusal.new(problems.map do |problem|
        Problem.new(pointer: [prefix, problem.pointer].reject(&:empty?).join("/"), message: problem.message,
          accepted: problem.accepted)
      end)
    end
  end
end
