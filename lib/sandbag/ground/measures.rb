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
      blank = all.to_h { |name| [name, nil] }.merge(defaults).freeze
      define_singleton_method(:measures_blank) { blank }
      include Value
    end

    # Behaviour of the value object.
    module Value
      def initialize(**given)
        take(self.class.measures_blank.merge(given))
      end

      # A copy with some measures changed; the others were judged when it was made.
      def with(**changes)
        dup.take(changes)
      end

      def ==(other)
        other.instance_of?(self.class) && to_h == other.to_h
      end
      alias_method :eql?, :==

      def hash
        to_h.hash
      end

      protected

      def take(given)
        kept = self.class.measures_kept
        given.each do |name, value|
          variable = kept[name] || raise(ArgumentError, "#{self.class} has no #{name}")
          instance_variable_set(variable, Measures.finite(name, value))
        end
        settle
        freeze
      end

      private

      # What follows from the measures and is asked for again and again.
      def settle
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
