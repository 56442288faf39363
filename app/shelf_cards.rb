# frozen_string_literal: true

module App
  # The cards of Choose that fetch something: what lies on the shelf and fits for certain is taken from there, so that
  # the shelf knows of it. What is not there, or is in doubt, is answered as before.
  module ShelfCards
    PREFIX = "fetch."

    # @param cards [Array<Hash>] see Sandbag::Job::Now; lines [Array<Hash>] of Sandbag::Choose::Supplies
    # @return [Array<Hash>]
    def self.of(cards, lines)
      by_id = lines.to_h { |line| [line[:id], line] }
      cards.map do |card|
        line = by_id[card[:id].delete_prefix(PREFIX)] if card[:id].start_with?(PREFIX)
        thing = line && sure(line)
        thing ? taken(card, line, thing) : card
      end
    end

    def self.sure(line)
      line[:options].find { |option| line[:takes].include?(option[:item]) && option[:doubt].nil? }
    end

    # It can still be said that another one is on the bench.
    def self.taken(card, line, thing)
      act = {label: "Take #{thing[:name]}",
             entry: {kind: "pulled", data: {line: line[:id], item: thing[:item]}}}
      detail = [thing[:place], card[:detail]].compact.join(". ")
      other = {**card[:act], label: "Another one is here"}
      {**card.except(:act), kind: "question", detail: detail, answers: [act, other]}
    end
    private_class_method :sure, :taken
  end
end
