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
      define_singleton_method(:measure_names) { all }
      define_singleton_method(:measure_defaults) { defaults }
      include Value
    end

    # Behaviour of the value object.
    module Value
      def initialize(**given)
        unknown = given.keys - self.class.measure_names
        raise ArgumentError, "#{self.class} has no #{unknown.join(", ")}" if unknown.any?
        self.class.measure_names.each do |name|
          instance_variable_set(
            :"@#{name}",
            Measures.finite(name, given.fetch(name) { self.class.measure_defaults[name] })
          )
        end
        freeze
      end

      def ==(other)
        other.instance_of?(self.class) && to_h == other.to_h
      end
      alias_method :eql?, :==

      def hash
        to_h.hash
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
