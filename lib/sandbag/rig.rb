# frozen_string_literal: true

require "zlib"

module Sandbag
  # Stand-ins for outside devices: small simulated instruments that read one simulated circuit, behind the interface a
  # real one would have: `read` gives value, unit, uncertainty and the instrument's name.
  module Rig
    # @param seed [String]
    # @return [Random] the same for the same seed, on every machine
    def self.random(seed)
      Random.new(Zlib.crc32(seed))
    end

    # @param random [Random]
    # @return [Float] near enough normal, of deviation 1
    def self.noise(random)
      Array.new(12) { random.rand }.sum - 6.0
    end
  end
end
