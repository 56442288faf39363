# frozen_string_literal: true

require "psych"

module Sandbag
  # One YAML file holding a list of rows, each with an `id`. Keeps the line of every row, so that a fault can be found.
  class KnowledgeFile
    # @param columns [Hash{String => Class, Array<Class>}] what each row must hold; a name ending in ? may be absent
    # @param references [#call] given a row, says what is wrong with the ids it names, or nil
    def initialize(path, columns, references)
      @path = path
      @columns = columns
      @references = references
    end

    # @return [Array<Hash>] deep-frozen rows
    # Raises Knowledge::Fault with file and line.
    def rows
      tree = Psych.parse_file(@path)
      fault(1, "is not a list of rows") unless tree&.root.is_a?(Psych::Nodes::Sequence)
      lines = tree.root.children.map { |node| node.start_line + 1 }
      rows = tree.to_ruby
      rows.zip(lines) { |row, line| check(row, line) }
      refuse_duplicates(rows, lines)
      freeze_deep(rows)
    rescue Psych::SyntaxError => error
      fault(error.line, error.problem)
    end

    private

    def check(row, line)
      fault(line, "is not a row of named columns") unless row.is_a?(Hash)
      fault(line, "has no id") unless row["id"].is_a?(String)
      known = @columns.keys.map { |column| column.delete_suffix("?") }
      unknown = row.keys - known - ["id"]
      fault(line, "#{row["id"]} has unknown #{unknown.join(", ")}; known are #{known.join(", ")}") if unknown.any?
      @columns.each { |column, classes| check_column(row, column, Array(classes), line) }
      wrong = @references.call(row)
      fault(line, "#{row["id"]} #{wrong}") if wrong
    end

    def check_column(row, column, classes, line)
      name = column.delete_suffix("?")
      return if column.end_with?("?") && !row.key?(name)
      fault(line, "#{row["id"]} has no #{name}") unless row.key?(name)
      return if classes.any? { |kind| row[name].is_a?(kind) }
      fault(line, "#{row["id"]}: #{name} is #{row[name].inspect}, expected #{classes.join(" or ")}")
    end

    def refuse_duplicates(rows, lines)
      seen = {}
      rows.zip(lines) do |row, line|
        fault(line, "#{row["id"]} stands already at line #{seen[row["id"]]}") if seen.key?(row["id"])
        seen[row["id"]] = line
      end
    end

    def freeze_deep(object)
      case object
      when Hash then object.each_value { |value| freeze_deep(value) }
      when Array then object.each { |value| freeze_deep(value) }
      end
      object.freeze
    end

    def fault(line, text)
      raise Knowledge::Fault, "#{@path}:#{line}: #{text}"
    end
  end
end
