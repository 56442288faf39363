# frozen_string_literal: true

module Sandbag
  module Job
    # One line of a job's journal. `id` is made by the client, so that a retry is harmless; `corrects` names the entry
    # it takes back; `position` is its place in the journal, from 1.
    class Entry
      extend Attributes

      UNDO = "undo"

      attributes :id, :stage, :kind, :data, :at, :by, :corrects, :position

      def initialize(id:, stage:, kind:, data:, at:, by:, corrects: nil, position: nil)
        @id = id
        @stage = stage
        @kind = kind
        @data = data.freeze
        @at = at
        @by = by
        @corrects = corrects
        @position = position
        freeze
      end

      def undo?
        kind == UNDO
      end
    end
  end
end
