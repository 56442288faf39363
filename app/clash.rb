# frozen_string_literal: true

module App
  # An id is in use for something else: a retry says the same again.
  class Clash < StandardError; end
end
