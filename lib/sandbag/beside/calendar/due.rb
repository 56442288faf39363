# frozen_string_literal: true

module Sandbag
  module Calendar
    # Something that falls due on a day.
    #
    # @attr kind [String] fluid, an id of intervals.yml, or lever; part [String] id of the part, where there is one;
    #   on [Date]; why [String]
    Due = Struct.new(:kind, :label, :part, :on, :why, keyword_init: true)
  end
end
