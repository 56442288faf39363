# frozen_string_literal: true

module Sandbag
  # What holds a cylinder and its joints, and what it is tightened to.
  module Fastening
    # What a repair may move, and Fit puts back.
    MOVES = %w[unit joint control switch reservoir feed hose ends far_end friction].freeze

    # @return [String, nil] what is wrong with what a row says is moved
    def self.unknown(moves)
      odd = moves - MOVES
      "moves unknown #{odd.join(", ")}; known are #{MOVES.join(", ")}" if odd.any?
    end
  end
end
