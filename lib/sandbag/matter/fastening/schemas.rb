# frozen_string_literal: true

module Sandbag
  module Fastening
    # The tables of this room (knowledge/fastening): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "torques" => Tables::Schema.new({
          "label" => String,
          "from?" => Numeric,
          "to?" => Numeric,
          "aim?" => Numeric,
          "ceiling?" => Numeric,
          "over" => String,
          "turns?" => String,
          "snug?" => String
        }),
        "fasteners" => Tables::Schema.new({
          "label" => String,
          **Circuit::SUITS,
          "moves?" => Array,
          "out?" => Array,
          "held_by?" => Array,
          "apart?" => [TrueClass, FalseClass],
          "per" => String,
          "joints?" => Array,
          "remote?" => [TrueClass, FalseClass],
          "when" => String,
          "part?" => String,
          "field" => String,
          "defaults" => Array
        }) { |row| Schemas.fastener(row) }
      }.freeze

      # @return [String, nil] what is wrong with a fastener
      def self.fastener(row)
        Fastening.unknown(row["moves"] || []) || Circuit::Kind.unknown(row) ||
          Tables.unknown("torques", row["defaults"].map { |each| each["torque"] })
      end
    end
  end
end
