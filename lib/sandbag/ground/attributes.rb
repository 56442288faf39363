# frozen_string_literal: true

module Sandbag
  # Names the attributes of a value object that is built from them by keyword: readers, `attributes`, and `with`, a
  # copy with some of them changed.
  #
  #   class Entry
  #     extend Attributes
  #     attributes :id, :stage, :kind   # and Entry.members
  module Attributes
    def attributes(*names)
      attr_reader(*names)
      define_singleton_method(:members) { names }
      define_method(:attributes) { names.to_h { |name| [name, public_send(name)] } }
      include Copied
    end

    # What every such object can do.
    module Copied
      def to_h
        attributes
      end

      # A copy with some attributes changed.
      def with(**changes)
        self.class.new(**attributes, **changes)
      end
    end
  end
end
