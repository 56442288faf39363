# frozen_string_literal: true

module Store
  # What the shop has set, by name. Plain hashes.
  class Settings
    def initialize(database)
      @settings = database[:settings]
      @texts = Hash.new { |texts, name| texts[name] = @settings.where(name: name).select(:value).limit(1) }
    end

    # @return [Hash, nil]
    def read(name)
      row = @settings.first(name: name)
      row && Document.load(row[:value])
    end

    # @return [String, nil] as it is kept: the same text is the same setting
    def text(name)
      @texts[name].single_value!
    end

    def write(name, value)
      @settings.insert_conflict(:replace).insert(name: name, value: Document.dump(value))
    end
  end
end
