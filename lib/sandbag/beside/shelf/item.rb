# frozen_string_literal: true

module Sandbag
  module Shelf
    # One thing on the shelf as its moves tell it. Pieces are counted; a bottle's amount is in mL and is one bottle.
    class Item
      # @attr amount [Float] pieces, or mL left; reserved [Hash{String => Float}] job => amount promised to it
      # @attr opened_on [String, nil] the day the seal was broken; shaken_at [String, nil] since when it has to stand
      extend Attributes

      attributes :id, :kind, :name, :place, :supplier, :price_minor, :fields, :amount, :reserved, :opened_on,
        :shaken_at, :discarded

      def initialize(id:, kind:, name:, fields:, place: nil, supplier: nil, price_minor: nil, amount: 0.0, reserved: {},
        opened_on: nil, shaken_at: nil, discarded: nil)
        @id = id
        @kind = kind
        @name = name
        @place = place
        @supplier = supplier
        @price_minor = price_minor
        @fields = fields.freeze
        @amount = amount
        @reserved = reserved.freeze
        @opened_on = opened_on
        @shaken_at = shaken_at
        @discarded = discarded
        freeze
      end

      # @param move [Move] of kind added, with its data read
      # @return [Item]
      def self.from(move)
        data = move.data
        amount = (data["kind"] == "bottle") ? data["fields"]["size"] : data.fetch("count", 1.0)
        new(id: move.item, kind: data["kind"], name: data["name"], place: data["place"],
          supplier: data["supplier"], price_minor: data["price_minor"], fields: data["fields"], amount: amount)
      end

      # @return [Item] after a move
      def after(move)
        data = move.data
        case move.kind
        when "described" then with(**data.slice("name", "place", "supplier", "price_minor").transform_keys(&:to_sym),
          fields: fields.merge(data["fields"] || {}))
        when "received" then with(amount: amount + data["count"])
        when "counted" then with(amount: data["count"])
        when "measured" then with(amount: data["ml"])
        when "opened" then with(opened_on: data["on"])
        when "shaken" then with(shaken_at: move.at)
        when "rested" then with(shaken_at: nil)
        when "reserved" then with(reserved: reserved.merge(data["job"] => promised(data["job"]) + data["count"]))
        when "released" then released(*data.values_at("job", "count"))
        when "used" then used(data["job"], move.on)
        when "discarded" then with(discarded: data["reason"], amount: 0.0)
        else self
        end
      end

      def bottle?
        kind == "bottle"
      end

      # What nobody has been promised.
      def free
        amount - reserved.values.sum
      end

      def promised(job)
        reserved.fetch(job, 0.0)
      end

      def to_h
        attributes.compact.merge(free: free)
      end

      private

      def released(job, count)
        left = promised(job) - count
        with(reserved: left.positive? ? reserved.merge(job => left) : reserved.except(job))
      end

      # Taking fluid out of a sealed bottle opens it.
      def used(job, day)
        with(amount: amount - promised(job), reserved: reserved.except(job), opened_on: opened_on || (day if bottle?))
      end
    end
  end
end
