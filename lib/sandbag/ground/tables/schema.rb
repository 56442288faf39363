# frozen_string_literal: true

module Sandbag
  module Tables
    # What the rows of a table hold, and what is wrong with one.
    class Schema
      # @attr columns [Hash{String => Class, Array<Class>}] what each row must hold; a name ending in ? may be absent
      attr_reader :columns

      # @param columns as above
      # @param reader [Class, nil] reads a file that holds one thing, and not a list of rows
      # @yield [row] says what is wrong with it, or nil
      def initialize(columns, reader: nil, &check)
        @columns = columns
        @reader = reader
        @check = check || ->(_row) {}
        freeze
      end

      # @param path [String]
      # @return [Array<Hash>] deep-frozen rows
      # Raises Fault with file and line.
      def read(path)
        return [@reader.new(path).read] if @reader
        Source.freeze_deep(Rows.new(path, Source.parse(path), columns, @check).rows)
      end
    end
  end
end
