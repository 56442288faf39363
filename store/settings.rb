# frozen_string_literal: true

require "json"

module Store
  # What the shop has set, by name. Plain hashes.
  class Settings
    def initialize(database)
      @settings = database[:settings]
    end

    # @return [Hash, nil]
    def read(name)
      row = @settings.first(name: name)
      row && JSON.parse(row[:value])
    end

    def write(name, value)
      @settings.insert_conflict(:replace).insert(name: name, value: JSON.generate(value))
    end
  end
end
