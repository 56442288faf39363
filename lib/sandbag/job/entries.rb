# frozen_string_literal: true

module Sandbag
  module Job
    # Entries of one stage that are in force, oldest first, and the questions that every stage asks of them.
    class Entries
      include Enumerable

      # @param entries [Array<Entry>]
      def initialize(entries = [])
        @entries = entries.freeze
        @by_kind = entries.group_by(&:kind).freeze
        freeze
      end

      # @return [Entries] with one more
      def with(entry)
        dup.add(entry)
      end

      def each(&)
        @entries.each(&)
      end

      def size
        @entries.size
      end

      def empty?
        @entries.empty?
      end

      # @return [Array<Entry>] those of some kinds, oldest first
      def of(*kinds)
        return @by_kind.fetch(kinds.first, NONE) if kinds.one?
        @entries.select { |entry| kinds.include?(entry.kind) }
      end
      NONE = [].freeze

      # @return [Entry, nil] the newest of some kinds
      def last(*kinds)
        return of(*kinds).last if kinds.one?
        @entries.reverse_each.find { |entry| kinds.include?(entry.kind) }
      end

      # @return [Hash, nil] what the newest of a kind says
      def said(kind)
        last(kind)&.data
      end

      # @return [Hash] the newest data of a kind by one of its values
      def by(kind, name)
        of(kind).to_h { |entry| [entry.data[name], entry.data] }
      end

      # @return [Array] one value of every entry of a kind
      def values(kind, name)
        of(kind).map { |entry| entry.data[name] }
      end

      # @return [Entries] taken after a place in the journal; nil is its beginning
      def after(position)
        position ? Entries.new(select { |entry| entry.position > position }) : self
      end

      # @return [Entries] taken before a place in the journal
      def before(position)
        Entries.new(select { |entry| entry.position < position })
      end

      # @return [Array<Hash>] id and kind of the newest, oldest first: what can be taken back without looking at the
      #   journal
      def recent(count)
        @entries.last(count).map { |entry| {id: entry.id, kind: entry.kind} }
      end

      # @return [Array<Entry>] all but so many of the oldest
      def drop(count)
        @entries.drop(count)
      end

      # @return [Entry, nil] the one in a place, counted from 0
      def at(index)
        @entries[index]
      end

      protected

      def add(entry)
        @entries = [*@entries, entry].freeze
        @by_kind = @by_kind.merge(entry.kind => [*of(entry.kind), entry].freeze).freeze
        freeze
      end
    end
  end
end
