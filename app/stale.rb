# frozen_string_literal: true

module App
  # Something was changed since it was read: nothing is overwritten, and both versions are told.
  class Stale < StandardError
    # @return [Array<Sandbag::Refusal::Problem>] the fields that differ, each with what stands here and what was sent
    attr_reader :problems

    # @param known [Integer, String] revision that is here; sent [Integer, String, nil] that the change is made to; nil
    #   changes whatever is here
    # @yieldreturn [Hash{String => Array}] field => what is here, what was sent
    def self.refuse(known, sent)
      raise new(yield) unless sent.nil? || sent == known
    end

    def initialize(fields)
      differing = fields.reject { |_, (here, sent)| here == sent }
      @problems = (differing.empty? ? {"revision" => nil} : differing).map do |field, (here, sent)|
        Sandbag::Refusal::Problem.new(pointer: field, message: self.class.told(here, sent),
          accepted: "the same again, made to what is here now")
      end
      super("it was changed meanwhile")
    end

    def self.told(here, sent)
      return "it was changed meanwhile" if here.nil? && sent.nil?
      "it was changed meanwhile: here is “#{plain(here)}”, sent was “#{plain(sent)}”"
    end

    def self.plain(value)
      value.is_a?(Hash) ? value.fetch("value", value).to_s : value.to_s
    end
    private_class_method :plain
  end
end
