# frozen_string_literal: true

module Sandbag
  module Tables
    # A list of rows in a YAML file, each with an `id`, checked against what a row must hold. Keeps the line of every
    # row, so that a fault can be found.
    class Rows
      # @param path [String] for faults; node [Psych::Nodes::Node] of the list
      # @param columns [Hash{String => Class, Array<Class>}] what each row must hold; a name ending in ? may be absent
      # @param check [#call] given a row, says what is wrong with it, or nil
      def initialize(path, node, columns, check)
        @path = path
        @node = node
        @columns = columns
        @check_row = check
      end

      # @return [Array<Hash>]
      # Raises Tables::Fault with file and line.
      def rows
        fault((@node&.start_line || 0) + 1, "is not a list of rows") unless @node.is_a?(Psych::Nodes::Sequence)
        @rows ||= Figures.fill(@node.to_ruby).tap do |rows|
          rows.zip(lines) { |row, line| check(row, line) }
          refuse_duplicates(rows)
        end
      end

      # @return [Integer] line of a row by its id
      def line_of(id)
        lines[rows.index { |row| row["id"] == id }]
      end

      def fault(line, text)
        raise Tables::Fault, "#{@path}:#{line}: #{text}"
      end

      private

      def lines
        @node.children.map { |node| node.start_line + 1 }
      end

      def check(row, line)
        fault(line, "is not a row of named columns") unless row.is_a?(Hash)
        fault(line, "has no id") unless row["id"].is_a?(String)
        known = @columns.keys.map { |column| column.delete_suffix("?") }
        refuse_misread(row, line)
        unknown = row.keys - known - ["id"]
        fault(line, "#{row["id"]} has unknown #{unknown.join(", ")}; known are #{known.join(", ")}") if unknown.any?
        @columns.each { |column, classes| check_column(row, column, Array(classes), line) }
        wrong = @check_row.call(row)
        fault(line, "#{row["id"]} #{wrong}") if wrong
      end

      # YAML reads a bare off, no or 5 as something else than a word.
      def refuse_misread(object, line)
        case object
        when Hash
          refuse_odd(object.keys.reject { |key| key.is_a?(String) }, line)
          object.each_value { |value| refuse_misread(value, line) }
        when Array
          refuse_odd(object & [true, false], line)
          object.each { |value| refuse_misread(value, line) }
        end
      end

      def refuse_odd(odd, line)
        fault(line, "a bare word was read as #{odd.first.inspect}: put it in quotes") unless odd.empty?
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
end
