# frozen_string_literal: true

require "psych"

module Sandbag
  module Tables
    # A YAML file of the knowledge, as it is written.
    module Source
      # @return [Psych::Nodes::Node, nil] what the file holds
      # Raises Fault, with file and line, where it is no YAML.
      def self.parse(path)
        Psych.parse_file(path, fallback: nil)&.root
      rescue Psych::SyntaxError => error
        raise Fault, "#{path}:#{error.line}: #{error.problem}"
      end

      # @return the object, frozen through and through
      def self.freeze_deep(object)
        case object
        when Hash then object.each_value { |value| freeze_deep(value) }
        when Array then object.each { |value| freeze_deep(value) }
        end
        object.freeze
      end
    end
  end
end
