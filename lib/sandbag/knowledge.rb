# frozen_string_literal: true

require "psych"

module Sandbag
  # The trade's tables, read from `knowledge/*.yml` and checked when first asked for. A file with an unknown column, a
  # missing one, a wrong kind of value or a duplicate id refuses to load, naming file and line.
  module Knowledge
    # A table that cannot be trusted. A fault of the file, not of a user.
    class Fault < StandardError; end

    FOLDER = "#{__dir__}/knowledge"

    # column => class or list of classes; a trailing ? marks a column that may be absent
    COLUMNS = {
      "circuit_kinds" => {"label" => String, "control" => String, "far_end" => String, "safety" => String},
      "circuit_fields" => {"part" => String, "field" => String, "label" => String, "type" => String, "dimension?" => String,
                           "min?" => Numeric, "above?" => Numeric, "max?" => Numeric, "choices?" => Array, "default?" => [Numeric, String, Hash],
                           "only?" => Array, "note?" => String},
      "machine_kinds" => {"label" => String, "templates" => Array},
      "circuit_templates" => {"label" => String, "kind" => String, "note?" => String, "parts" => Array},
      "near_misses" => {"sizes" => Array, "inch" => String, "told_apart_by" => String, "rule" => String},
      "ratio_bands" => {"label" => String, "from" => Numeric, "to" => Numeric},
      "fluids" => {"label" => String, "family" => String, "rank?" => Integer, "bulk_modulus_mpa" => Numeric, "dry_c?" => Numeric, "wet_c?" => Numeric},
      "fluid_colours" => {"label" => String, "meaning" => String, "fresh" => [TrueClass, FalseClass]},
      "findings" => {"label" => String, "how" => String, "minutes" => Integer, "for" => String, "values" => Hash},
      "routes" => {"label" => String, "does" => String, "opens" => [TrueClass, FalseClass], "stops" => [TrueClass, FalseClass], "stages" => Array},
      "route_rules" => {"when" => Hash, "route" => String, "reason" => String, "stop?" => String},
      "cylinders" => {"kinds" => Array, "sizes" => Array, "bores" => Array, "offsets" => Array},
      "change_bands" => {"up_to_percent" => Numeric, "verdict" => String, "agree" => [TrueClass, FalseClass]},
      "gates" => {"label" => String, "detail" => String, "settled" => String, "only_opened?" => [TrueClass, FalseClass], "caution?" => String},
      "cautions" => {"text" => String, "stages" => Array},
      "entry_kinds" => {"stage" => String, "kind" => String, "data" => Hash}
    }.freeze

    # @return [Array<Hash>] the rows of a table, frozen
    def self.table(name)
      @tables ||= {}
      @tables[name] ||= load(name, "#{FOLDER}/#{name}.yml")
    end

    # @return [Hash, nil] one row by its id
    def self.find(name, id)
      table(name).find { |row| row["id"] == id }
    end

    # @return [Array<Hash>] rows of a file, checked against the columns of the table it is for
    def self.load(name, path)
      KnowledgeFile.new(path, COLUMNS.fetch(name)).rows
    end
  end
end
