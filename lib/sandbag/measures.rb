# frozen_string_literal: true

module Sandbag
  # Makes a class a frozen value object of finite Floats whose names carry their units:
  #
  #   class Lever
  #     extend Measures
  #     measures :finger_to_pivot_mm, :push_offset_mm
  #   end
  #
  # The constructor wants every measure by keyword and refuses a missing, non-numeric or non-finite one by name.
  module Measures
    def measures(*names, **defaults)
      all = names + defaults.keys
      extend Attributes

      attributes(*all)
      kept = all.to_h { |name| [name, :"@#{name}"] }.freeze
      define_singleton_method(:measures_kept) { kept }
      define_singleton_method(:measure_defaults) { defaults }
      include Value
    end

    # Behaviour of the value object.
    module Value
      def initialize(**given)
        take(self.class.measure_defaults.merge(given), self.class.measures_kept)
      end

      # A copy with some measures changed; the others were judged when it was made.
      def with(**changes)
        dup.take(changes, self.class.measures_kept.slice(*changes.keys))
      end

      def ==(other)
        other.instance_of?(self.class) && to_h == other.to_h
      end
      alias_method :eql?, :==

      def hash
        to_h.hash
      end

      protected

      # @param kept [Hash{Symbol => Symbol}] where each measure that is taken is kept
      def take(given, kept)
        unknown = (given.size != kept.size) ? given.keys - kept.keys : []
        raise ArgumentError, "#{self.class} has no #{unknown.join(", ")}" if unknown.any?
        kept.each { |name, variable| instance_variable_set(variable, Measures.finite(name, given[name])) }
        freeze
      end
    end

    # @return [Float]
    # Refuses anything that is not a real, finite number.
    def self.finite(name, number)
      value = (number.is_a?(Numeric) && number.real?) ? number.to_f : Float::NAN
      return value if value.finite?
      raise Refusal.at(name.to_s, "#{name} is not a finite number: #{number.inspect}", "a number")
    end
  end
end
