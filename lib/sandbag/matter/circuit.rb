# frozen_string_literal: true

module Sandbag
  # A circuit as it is written down, and what follows from that.
  module Circuit
    # Kinds of machine whose work is timed apart.
    MACHINES = %w[motorcycle scooter kart snowmobile bicycle].freeze

    # Columns by which a row of a table says which circuits it is for: those that have every word of `needs`, and none
    # of `lacks`. The words are those of circuit_kinds.yml and controls.yml, see Kind#words.
    SUITS = {"needs?" => Array, "lacks?" => Array}.freeze
  end
end
