# frozen_string_literal: true

module Store
  # There is no room for what was to be stored: nothing of it is.
  class Full < StandardError; end
end
