# frozen_string_literal: true

module Sandbag
  module Feel
    # Force and travel at the finger, read off a scale and a ruler. `id` is the journal entry it came from.
    Reading = Struct.new(:id, :force_n, :travel_mm, keyword_init: true)
  end
end
