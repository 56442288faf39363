# frozen_string_literal: true

module Sandbag
  module Rig
    # Air that fills a piece of a line.
    #
    # @attr id [Integer] the same for as long as it is one bubble; ml [Float] at the pressure of the air outside; path
    #   [Integer] which way out it is on; at_mm [Float] along it, 0 at the master's outlet; fine [Boolean] small bubbles
    #   that froth is made of, not one that fills the bore
    Slug = Struct.new(:id, :ml, :path, :at_mm, :fine, keyword_init: true)
  end
end
