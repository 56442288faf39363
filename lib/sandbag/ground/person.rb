# frozen_string_literal: true

module Sandbag
  # Names of people, as they write them down: with or without initials, accents and capitals.
  module Person
    # @param name [String]
    # @return [Boolean] nobody: no letter that can be read
    def self.none?(name)
      !name.match?(/\p{L}/)
    end

    # R. Tarn, Rob Tarn and Tarn are one person; R. Tarn and M. Tarn are two.
    # @param one, other [String]
    def self.same?(one, other)
      (*given, family), (*others, other_family) = words(one), words(other)
      return false unless family == other_family
      given.zip(others).all? { |mine, theirs| theirs.nil? || alike?(mine, theirs) }
    end

    def self.words(name)
      name.unicode_normalize(:nfkd).gsub(/\p{M}/, "").downcase.scan(/[\p{L}'’-]+/)
    end
    private_class_method :words

    # The same, or one is the initial of the other.
    def self.alike?(one, other)
      one.start_with?(other) || other.start_with?(one)
    end
    private_class_method :alike?
  end
end
