# frozen_string_literal: true

module App
  # Takes a list of machines or of parts in, after saying of each line what it would do. Nothing comes in while a line
  # is wrong; what is here already is passed over.
  class ListImport
    # @attr line [Integer]; name [String]; does [String] add, pass_over or refuse; says [String] why, or with what;
    #   take [Proc, nil] adds it
    Step = Struct.new(:line, :name, :does, :says, :take, keyword_init: true)

    # @param list [#here, #key, #prepare] keys of what is here already; of a row: what makes a thing the same, and what
    #   it says and how it is added
    # @param rows [Array<ListFile::Row>]
    # @return [ListImport]
    def self.through(list, rows)
      here = list.here
      known = here.to_h { |key| [key, true] }
      new(list, here, rows.map { |row| step(list, row, known) })
    end

    def self.step(list, row, known)
      key = list.key(row.values)
      return say(row, "pass_over", "is here already") if known[key]
      says, take = list.prepare(row.values)
      known[key] = true
      say(row, "add", says, take)
    rescue Sandbag::Refusal => refusal
      problem = refusal.problems.first
      reason = [problem.message, problem.accepted].compact.join("; accepted: ")
      say(row, "refuse", [problem.pointer.split("/").last, reason].compact.join(": "))
    end

    def self.say(row, does, says, take = nil)
      Step.new(line: row.line, name: row.values["name"].to_s, does: does, says: says, take: take)
    end
    private_class_method :step, :say

    # @param list [#here]; here [Array] as it was when the steps were worked out; steps [Array<Step>]
    def initialize(list, here, steps)
      @list = list
      @here = here
      @steps = steps
    end

    # Everything is worked out by now: other writes wait only while the rows are written.
    # @param store [Store::All]
    # @return [Boolean] something was taken in
    # Raises JobDesk::Busy where something was added since the list was read.
    def take(store)
      return false if @steps.any? { |step| step.does == "refuse" }
      store.transaction do
        raise JobDesk::Busy, "something was added while the list was read" if @list.here != @here
        @steps.each { |step| step.take&.call }
      end
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
