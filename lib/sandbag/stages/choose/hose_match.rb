# frozen_string_literal: true

module Sandbag
  module Choose
    # A hose from the shelf against the one it replaces (docs/trade.md 4.3, 4.4): length, kind and ends.
    module HoseMatch
      # Longer than the old one by more than this share it has to be laid before it is taken. [default]
      LONGER = 0.08
      # @param fields [Hash] of the thing on the shelf; values [Hash{String => Circuit::Sheet::Value}] of the line
      # @param kind [Circuit::Kind]
      # @return [Array(String, String)] what is wrong with it, and what is only in doubt; each may be nil
      def self.objections(fields, values, kind)
        [
          short(fields, values) || strange(fields, kind) || other_ends(fields, kind),
          longer(fields, values) || otherwise(fields, values) || unread(fields)
        ]
      end

      def self.short(fields, values)
        wanted = values["length"].value
        if fields["length"] < wanted
          "it is #{Said.mm(fields["length"], 0)}, #{Said.mm(wanted - fields["length"], 0)} too short"
        end
      end

      def self.longer(fields, values)
        more = fields["length"] - values["length"].value
        if more > LONGER * values["length"].value
          "it is #{Said.mm(more, 0)} longer than the old one: lay it at full lock and full travel first"
        end
      end

      def self.strange(fields, kind)
        return if kind.hoses.include?(fields["hose_kind"])
        "it is #{Wording.spelled(fields["hose_kind"])}: #{kind.label.downcase} takes " \
          "#{kind.hoses.map { |each| Wording.spelled(each) }.join(", ")}"
      end

      def self.other_ends(fields, kind)
        return if fields["ends"].nil? || fields["ends"] == kind.outlet
        "its ends are #{fields["ends"]}, the master takes #{kind.outlet}"
      end

      def self.otherwise(fields, values)
        old = values["kind"].value
        unless fields["hose_kind"] == old
          "it is #{Wording.spelled(fields["hose_kind"])}, the old one #{Wording.spelled(old)}: the lever will feel " \
            "otherwise"
        end
      end

      def self.unread(fields)
        "its ends are not written down: compare them with the old hose" unless fields["ends"]
      end
      private_class_method :short, :longer, :strange, :other_ends, :otherwise, :unread
    end
  end
end
