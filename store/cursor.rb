# frozen_string_literal: true

module Store
  # A place in a list, as a page hands it to the next: what the list is sorted by, and the id that settles ties.
  module Cursor
    MARK = "~"

    def self.write(value, id)
      "#{value}#{MARK}#{id}"
    end

    # @return [Array(String, String)] value and id; ids hold no mark
    def self.read(text)
      value, _, id = text.rpartition(MARK)
      [value, id]
    end
  end
end
