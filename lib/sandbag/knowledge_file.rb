# frozen_string_literal: true

require "psych"

module Sandbag
  # One YAML file of the knowledge, holding a list of rows.
  class KnowledgeFile
    # @param columns, references as KnowledgeRows has them
    def initialize(path, columns, references)
      @path = path
      @columns = columns
      @references = references
    end

    # @return [Array<Hash>] deep-frozen rows
    # Raises Knowledge::Fault with file and line.
    def rows
      root = KnowledgeFile.parse(@path)
      KnowledgeFile.freeze_deep(KnowledgeRows.new(@path, root, @columns, @references).rows)
    end

    # @return [Psych::Nodes::Node, nil] what the file holds
    def self.parse(path)
      Psych.parse_file(path, fallback: nil)&.root
    rescue Psych::SyntaxError => error
      raise Knowledge::Fault, "#{path}:#{error.line}: #{error.problem}"
    end

    def self.freeze_deep(object)
      case object
      when Hash then object.each_value { |value| freeze_deep(value) }
      when Array then object.each { |value| freeze_deep(value) }
      end
      object.freeze
    end
  end
end
