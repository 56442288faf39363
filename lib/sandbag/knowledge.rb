# frozen_string_literal: true

require "digest"
require "psych"

module Sandbag
  # The trade's tables, read from `knowledge/*.yml` and checked when first asked for. A file with an unknown column, a
  # missing one, a wrong kind of value or a duplicate id refuses to load, naming file and line.
  module Knowledge
    # A table that cannot be trusted. A fault of the file, not of a user.
    class Fault < StandardError; end

    FOLDER = "#{__dir__}/knowledge"

    CAUSE_CODES = %w[AL AM BY LK ST PB AT LO FA FW JL HS HB SL SS FR AB EN WS OF].freeze

    FAMILIES = %w[glycol silicone mineral].freeze

    MACHINE_COLUMNS = %w[motorcycle scooter kart snowmobile bicycle].freeze

    # column => class or list of classes; a trailing ? marks a column that may be absent
    COLUMNS = {
      "circuit_kinds" => {
        "label" => String,
        "control" => String,
        "far_end" => String,
        "safety" => String,
        "outlet" => String,
        "sole?" => [TrueClass, FalseClass]
      },
      "controls" => {
        "label" => String,
        "noun" => String,
        "limb" => String,
        "press" => String,
        "pressed" => String,
        "at" => String,
        "stop" => String
      },
      "circuit_fields" => {
        "part" => String,
        "field" => String,
        "label" => String,
        "type" => String,
        "dimension?" => String,
        "min?" => Numeric,
        "above?" => Numeric,
        "max?" => Numeric,
        "choices?" => Array,
        "default?" => [Numeric, String, Hash],
        "only?" => Array,
        "note?" => String
      },
      "machine_kinds" => {
        "label" => String,
        "templates" => Array
      },
      "circuit_templates" => {
        "label" => String,
        "kind" => String,
        "note?" => String,
        "parts" => Array
      },
      "near_misses" => {
        "sizes" => Array,
        "inch" => String,
        "told_apart_by" => String,
        "rule" => String
      },
      "ratio_bands" => {
        "label" => String,
        "from" => Numeric,
        "to" => Numeric
      },
      "fluids" => {
        "label" => String,
        "family" => String,
        "rank?" => Integer,
        "bulk_modulus_mpa" => Numeric,
        "dry_c?" => Numeric,
        "wet_c?" => Numeric
      },
      "flow_properties" => {
        "density" => Numeric,
        "viscosity" => Numeric,
        "tension" => Numeric
      },
      "viscosity_factors" => {
        "celsius" => Numeric,
        "factor" => Numeric
      },
      "fluid_colours" => {
        "label" => String,
        "meaning" => String,
        "fresh" => [TrueClass, FalseClass]
      },
      "findings" => {
        "label" => String,
        "how" => String,
        "minutes" => Integer,
        "for" => String,
        "walk" => String,
        "kinds?" => Array,
        "family?" => String,
        "group?" => String,
        "ordinary?" => String,
        "opens?" => [TrueClass, FalseClass],
        "many?" => [TrueClass, FalseClass],
        "values" => Hash
      },
      "walks" => {
        "label" => String,
        "minutes" => Integer,
        "together?" => [TrueClass, FalseClass]
      },
      "must_looks" => {
        "when" => Hash,
        "looks" => Array
      },
      "complaint_words" => {
        "words" => Array,
        "first" => Array
      },
      "intake" => {
        "ask" => String,
        "for" => String,
        "kinds?" => Array,
        "when?" => Hash,
        "stops?" => [TrueClass, FalseClass],
        "finds?" => Hash,
        "asks_for?" => Hash,
        "offers?" => Hash,
        "record?" => String,
        "derived?" => String,
        "values" => Hash
      },
      "abs_gate" => {
        "when" => Hash,
        "decision" => String,
        "says" => String,
        "does" => String,
        "lifts" => String
      },
      "step_minutes" => {
        "label" => String,
        **MACHINE_COLUMNS.to_h { |machine| [machine, Integer] }
      },
      "prices" => {
        "label" => String,
        "minor" => Integer
      },
      "waits" => {
        "label" => String,
        "minutes?" => Integer
      },
      "causes" => {
        "label" => String,
        "prior_brake" => Numeric,
        "prior_clutch" => Numeric,
        "routes" => Array,
        "if_stays" => String,
        "also" => String
      },
      "likelihoods" => CAUSE_CODES.to_h { |code| [code, String] },
      "proofs" => {
        "when" => Hash,
        "proves" => Array,
        "due?" => [TrueClass, FalseClass],
        "after?" => Array,
        "note" => String
      },
      "red_flags" => {
        "label" => String,
        "when?" => Hash,
        "when_any?" => Array,
        "reported?" => [TrueClass, FalseClass],
        "does" => String,
        "lifts" => String,
        "holds" => String,
        "cures" => Array,
        "by_facts?" => [TrueClass, FalseClass]
      },
      "routes" => {
        "label" => String,
        "does" => String,
        "why" => String,
        "kinds?" => Array,
        "plan" => Array,
        "moves?" => Array,
        "opens" => String,
        "fluid" => String,
        "part?" => String,
        "comes?" => String,
        "condemned?" => String,
        "size?" => String,
        "adds?" => String,
        "renews?" => Array,
        "tools?" => Array,
        "tests?" => Array,
        "takes?" => Array,
        "stops?" => [TrueClass, FalseClass],
        "steps" => Array,
        "things" => Array
      },
      "cylinders" => {
        "kinds" => Array,
        "sizes" => Array,
        "bores" => Array,
        "offsets" => Array
      },
      "change_bands" => {
        "up_to_percent" => Numeric,
        "verdict" => String,
        "agree" => [TrueClass, FalseClass]
      },
      "gates" => {
        "label" => String,
        "detail" => String,
        "settled" => String,
        "stage?" => String,
        "only_opened?" => [TrueClass, FalseClass],
        "only_sole?" => [TrueClass, FalseClass],
        "only_tested?" => [TrueClass, FalseClass],
        "only_left?" => [TrueClass, FalseClass],
        "only_fitted?" => [TrueClass, FalseClass],
        "only_estimated?" => [TrueClass, FalseClass],
        "proof?" => String,
        "safety?" => Array,
        "always?" => Array,
        "caution?" => String
      },
      "cautions" => {
        "text" => String,
        "stages" => Array,
        "needs?" => String
      },
      "seals" => {
        "label" => String,
        "glycol" => String,
        "silicone" => String,
        "mineral" => String,
        "found_in" => String
      },
      "lubricants" => {
        "label" => String,
        "glycol" => String,
        "silicone" => String,
        "mineral" => String,
        "where" => String,
        "places" => Array
      },
      "compatibility_words" => {
        "label" => String,
        "does" => String
      },
      "kit_items" => {
        "label" => String,
        "rule" => String,
        "rubber" => [TrueClass, FalseClass],
        "compare" => String
      },
      "fluid_changes" => {
        "months" => Integer
      },
      "water_rates" => {
        "percent_a_year" => Numeric
      },
      "water_verdicts" => {
        "from" => Numeric,
        "label" => String,
        "does" => String,
        "due" => String
      },
      "bleed_methods" => {
        "label" => String,
        "people" => Integer,
        "opening" => String,
        "kinds" => Array,
        "not_for" => String,
        "reverse?" => [TrueClass, FalseClass],
        "turned?" => [TrueClass, FalseClass],
        "needs_tool?" => [TrueClass, FalseClass],
        "aid?" => [TrueClass, FalseClass],
        "drive" => Hash,
        "tools" => Array,
        "waste_ml" => Numeric,
        "minutes" => Integer,
        "cycle" => Array,
        "fails" => Array
      },
      "nipple_openings" => {
        "label" => String,
        "bore" => Numeric
      },
      "shelf_kinds" => {
        "label" => String,
        "plural" => String,
        "counted" => String
      },
      "shelf_fields" => {
        "kind" => String,
        "field" => String,
        "label" => String,
        "rule" => Hash,
        "optional?" => [TrueClass, FalseClass]
      },
      "stock_moves" => {
        "for" => Array,
        "data" => Hash
      },
      "tools" => {
        "label" => String,
        "special?" => [TrueClass, FalseClass],
        "sizes?" => String,
        "instead?" => Hash
      },
      "bench_things" => {
        "label" => String,
        "group" => String,
        "kinds?" => Array,
        "opened?" => [TrueClass, FalseClass]
      },
      "directions" => {
        "label" => String,
        "pair" => String
      },
      "strip_actions" => {
        "label" => String,
        "does" => String,
        "flies?" => String,
        "leaks?" => String,
        "lost?" => String,
        "tools" => Array,
        "caution?" => String,
        "apart?" => [TrueClass, FalseClass],
        "lever?" => [TrueClass, FalseClass]
      },
      "setup" => {
        "label" => String,
        "detail" => String,
        "word" => String,
        "kinds?" => Array,
        "abs?" => [TrueClass, FalseClass],
        "always?" => [TrueClass, FalseClass],
        "values?" => Hash,
        "warns?" => Hash,
        "counts?" => Hash
      },
      "stuck_ladder" => {
        "label" => String,
        "does" => String,
        "limit" => String,
        "caution?" => String
      },
      "never_advised" => {
        "text" => String,
        "at" => Array
      },
      "inspections" => {
        "label" => String,
        "how" => String,
        "parts" => Array,
        "values" => Hash
      },
      "wear_limits" => {
        "over" => Numeric,
        "up_to" => Numeric,
        "bore_new" => Array,
        "piston_new" => Array,
        "bore_limit" => Numeric,
        "piston_limit" => Numeric,
        "clearance" => Numeric,
        "out_of_round" => Numeric
      },
      "gauges" => {
        "label" => String,
        "uncertainty" => Numeric,
        "judges" => [TrueClass, FalseClass]
      },
      "gauge_places" => {
        "part" => String,
        "gauge" => String,
        "level" => Integer,
        "direction" => String,
        "label" => String
      },
      "comparisons" => {
        "label" => String,
        "compare" => String,
        "kinds?" => Array,
        "routes" => Array
      },
      "build_checks" => {
        "label" => String,
        "how" => String,
        "parts" => Array
      },
      "build_notes" => {
        "parts" => Array,
        "word" => String,
        "text" => String
      },
      "torques" => {
        "label" => String,
        "from?" => Numeric,
        "to?" => Numeric,
        "aim?" => Numeric,
        "ceiling?" => Numeric,
        "over" => String,
        "turns?" => String
      },
      "fasteners" => {
        "label" => String,
        "moves?" => Array,
        "out?" => String,
        "apart?" => [TrueClass, FalseClass],
        "per" => String,
        "joints?" => Array,
        "limb?" => String,
        "far_end?" => String,
        "remote?" => [TrueClass, FalseClass],
        "when" => String,
        "part?" => String,
        "field" => String,
        "hydraulic?" => [TrueClass, FalseClass],
        "defaults" => Array
      },
      "fit_steps" => {
        "label" => String,
        "does" => String,
        "moves" => Array,
        "limb?" => String,
        "safety?" => Array,
        "when" => String,
        "instead?" => Array,
        "trial?" => [TrueClass, FalseClass],
        "last?" => [TrueClass, FalseClass]
      },
      "fit_checks" => {
        "label" => String,
        "how" => String,
        "moves" => Array,
        "gap?" => [TrueClass, FalseClass],
        "from?" => [Numeric, String],
        "aim?" => Numeric,
        "limb?" => String,
        "safety?" => Array,
        "remote?" => [TrueClass, FalseClass],
        "may_lack?" => [TrueClass, FalseClass],
        "proves" => String
      },
      "free_plays" => {
        "label" => String,
        "constructions" => Array,
        "kinds?" => Array,
        "piston?" => Array,
        "tip?" => Array,
        "tip_by_service?" => Numeric,
        "by_maker?" => [TrueClass, FalseClass]
      },
      "hose_positions" => {
        "label" => String,
        "safety?" => Array,
        "may_lack?" => [TrueClass, FalseClass]
      },
      "hose_bends" => {
        "diameters" => Numeric
      },
      "tilts" => {
        "label" => String,
        "lateral_g?" => Numeric,
        "slope?" => Numeric
      },
      "clashes" => {
        "label" => String,
        "wants" => String
      },
      "way_reasons" => {
        "why" => String
      },
      "entry_kinds" => {
        "stage" => String,
        "kind" => String,
        "data" => Hash
      }
    }.freeze

    # @return [Array<Hash>] the rows of a table, frozen
    def self.table(name)
      @tables ||= {}
      @tables[name] ||= load(name, "#{FOLDER}/#{name}.yml")
    end

    # Reads every table and construction, so that a fault is found before anybody works by it.
    def self.load_all
      COLUMNS.each_key { |name| table(name) }
      Strip::Construction.all
      Strip::Construction.groups
    end

    # @return [Hash, nil] one row by its id
    def self.find(name, id)
      @by_id ||= {}
      (@by_id[name] ||= table(name).to_h { |row| [row["id"], row] }.freeze)[id]
    end

    # Names the tables as they are: another edition may rank, judge and word otherwise. A signed job keeps the edition
    # it was decided by.
    # @return [String]
    def self.edition
      @edition ||=
        Digest::SHA256.hexdigest(Dir["#{FOLDER}/**/*.yml"].sort.map { |path| File.read(path) }.join)[0, 12].freeze
    end

    # @return [Array<Hash>] rows of a file, checked against the columns of the table it is for
    def self.load(name, path)
      KnowledgeFile.new(path, COLUMNS.fetch(name), REFERENCES.fetch(name, NO_REFERENCES)).rows
    end

    # Table => what is wrong with a row's references to other tables, or nil.
    REFERENCES = {
      "likelihoods" => ->(row) { KnowledgeReferences.likelihood(row) },
      "proofs" => ->(row) do
        KnowledgeReferences.conditions(row["when"]) || KnowledgeReferences.ids("causes", row["proves"])
      end,
      "red_flags" => ->(row) { KnowledgeReferences.red_flag(row) },
      "findings" => ->(row) do
        KnowledgeReferences.ids("walks", [row["walk"]]) || KnowledgeReferences.ids("circuit_kinds", row["kinds"] || [])
      end,
      "must_looks" => ->(row) do
        KnowledgeReferences.conditions(row["when"]) || KnowledgeReferences.ids("findings", row["looks"])
      end,
      "complaint_words" => ->(row) { KnowledgeReferences.ids("findings", row["first"]) },
      "intake" => ->(row) { KnowledgeReferences.intake(row) },
      "abs_gate" => ->(row) { KnowledgeReferences.conditions(row["when"]) },
      "routes" => ->(row) { KnowledgeReferences.route(row) },
      "circuit_kinds" => ->(row) { KnowledgeReferences.ids("controls", [row["control"]]) },
      "gauge_places" => ->(row) { KnowledgeReferences.ids("gauges", [row["gauge"]]) },
      "seals" => ->(row) { KnowledgeReferences.ids("compatibility_words", row.values_at(*FAMILIES)) },
      "lubricants" => ->(row) { KnowledgeReferences.ids("compatibility_words", row.values_at(*FAMILIES)) },
      "bleed_methods" => ->(row) { KnowledgeReferences.bleed_method(row) },
      "shelf_fields" => ->(row) { KnowledgeReferences.ids("shelf_kinds", [row["kind"]]) },
      "stock_moves" => ->(row) { KnowledgeReferences.ids("shelf_kinds", row["for"]) },
      "setup" => ->(row) { KnowledgeReferences.ids("circuit_kinds", row["kinds"] || []) },
      "comparisons" => ->(row) { KnowledgeReferences.ids("routes", row["routes"]) },
      "inspections" => ->(row) { KnowledgeReferences.rules(row["values"]) },
      "strip_actions" => ->(row) { KnowledgeReferences.ids("tools", row["tools"]) },
      "causes" => ->(row) { KnowledgeReferences.ids("routes", row["routes"]) },
      "fasteners" => ->(row) { KnowledgeReferences.fastener(row) },
      "fit_steps" => ->(row) { KnowledgeReferences.moves(row["moves"]) },
      "fit_checks" => ->(row) { KnowledgeReferences.moves(row["moves"]) },
      "free_plays" => ->(row) { KnowledgeReferences.ids("circuit_kinds", row["kinds"] || []) }
    }.freeze
    NO_REFERENCES = ->(_row) {}
  end
end
