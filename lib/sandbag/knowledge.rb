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

    CAUSE_CODES = KnowledgeColumns::CAUSES

    FAMILIES = %w[glycol silicone mineral].freeze

    MACHINE_COLUMNS = KnowledgeColumns::MACHINES

    COLUMNS = KnowledgeColumns::COLUMNS

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

    # @param pointer [String] where the id stands; message [String] what is said of one that is not known
    # @return [Hash] one row by its id
    # Refuses an id that the table has not, with those that it has.
    def self.fetch(name, id, pointer, message)
      find(name, id) || raise(Refusal.at(pointer, message, table(name).map { |row| row["id"] }.join(", ")))
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
      "abs_gate" => ->(row) do
        KnowledgeReferences.conditions(row["when"]) || KnowledgeReferences.ids("bleed_methods", row["methods"] || [])
      end,
      "routes" => ->(row) { KnowledgeReferences.route(row) },
      "circuit_kinds" => ->(row) { KnowledgeReferences.ids("controls", [row["control"]]) },
      "gauge_places" => ->(row) { KnowledgeReferences.ids("gauges", [row["gauge"]]) },
      "seals" => ->(row) { KnowledgeReferences.ids("compatibility_words", row.values_at(*FAMILIES)) },
      "lubricants" => ->(row) { KnowledgeReferences.ids("compatibility_words", row.values_at(*FAMILIES)) },
      "bleed_methods" => ->(row) { KnowledgeReferences.bleed_method(row) },
      "intervals" => ->(row) do
        KnowledgeReferences.ids("circuit_fields", row.values_at("field", "or").compact.map { |each|
          "#{row["part"]}.#{each}"
        }) ||
          KnowledgeReferences.ids("machine_kinds", row["short_for"] || [])
      end,
      "mystery_faults" => ->(row) { KnowledgeReferences.mystery_fault(row) },
      "practice_ways" => ->(row) do
        KnowledgeReferences.ids("bleed_methods", [row["id"]]) ||
          KnowledgeReferences.ids("practice_fits", [row["fits"]].compact) ||
          KnowledgeReferences.ids("practice_places", [row["lays"]].compact)
      end,
      "lessons" => ->(row) do
        KnowledgeReferences.ids("circuit_templates", [row["template"]]) ||
          KnowledgeReferences.ids("fluids", [row["fluid"]]) ||
          KnowledgeReferences.ids("bleed_methods", [row["way"]]) ||
          KnowledgeReferences.ids("practice_places", row["places"] || [])
      end,
      "rechecks" => ->(row) { KnowledgeReferences.ids("circuit_kinds", row["kinds"] || []) },
      "gates" => ->(row) { KnowledgeReferences.gate(row) },
      "feel_tests" => ->(row) { KnowledgeReferences.feel_test(row) },
      "expected_feel" => ->(row) { KnowledgeReferences.expected_feel(row) },
      "bleed_checks" => ->(row) { KnowledgeReferences.bleed_check(row) },
      "stubborn_air" => ->(row) { KnowledgeReferences.stubborn_air(row) },
      "schools" => ->(row) { KnowledgeReferences.school(row) },
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
