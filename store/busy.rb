# frozen_string_literal: true

module Store
  # Another process held the write lock for longer than we wait.
  class Busy < StandardError; end
end
