# frozen_string_literal: true

require "digest"

module Store
  # What the shop has set, by name. Plain hashes.
  class Settings
    def initialize(database)
      @settings = database[:settings]
      @texts = Hash.new { |texts, name| texts[name] = @settings.where(name: name).select(:value).limit(1) }
    end

    # @return [Hash, nil] nil where nothing is set, or nothing that can be read
    # @yield with what was wrong
    def read(name, &)
      Document.try(@settings.where(name: name).get(:value), &)
    end

    # @return [String, nil] as it is kept: the same text is the same setting
    def text(name)
      @texts[name].single_value!
    end

    # @return [String] another one with every change
    def revision(name)
      Digest::SHA256.hexdigest(text(name).to_s)[0, 12]
    end

    def write(name, value)
      @settings.insert_conflict(:replace).insert(name: name, value: Document.dump(value))
    end
  end
end
