# frozen_string_literal: true

module Sandbag
  # A list of rows in a YAML file, each with an `id`, checked against what a row must hold. Keeps the line of every
  # row, so that a fault can be found.
  class KnowledgeRows
    # @param path [String] for faults; node [Psych::Nodes::Node] of the list
    # @param columns [Hash{String => Class, Array<Class>}] what each row must hold; a name ending in ? may be absent
    # @param references [#call] given a row, says what is wrong with the ids it names, or nil
    def initialize(path, node, columns, references)
      @path = path
      @node = node
      @columns = columns
      @references = references
    end

    # @return [Array<Hash>]
    # Raises Knowledge::Fault with file and line.
    def rows
      fault((@node&.start_line || 0) + 1, "is not a list of rows") unless @node.is_a?(Psych::Nodes::Sequence)
      @rows ||= @node.to_ruby.tap do |rows|
        rows.zip(lines) { |row, line| check(row, line) }
        refuse_duplicates(rows)
      end
    end

    # @return [Integer] line of a row by its id
    def line_of(id)
      lines[rows.index { |row| row["id"] == id }]
    end

    def fault(line, text)
      raise Knowledge::Fault, "#{@path}:#{line}: #{text}"
    end

    private

    def lines
      @node.children.map { |node| node.start_line + 1 }
    end

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

    def refuse_duplicates(rows)
      seen = {}
      rows.zip(lines) do |row, line|
        fault(line, "#{row["id"]} stands already at line #{seen[row["id"]]}") if seen.key?(row["id"])
        seen[row["id"]] = line
      end
    end
  end
end
