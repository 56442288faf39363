# frozen_string_literal: true

module Sandbag
  module Job
    # Whether an entry that was stored elsewhere has the shape of its kind: names and kinds of values, not their limits,
    # which may have moved since.
    module EntryShape
      # type of knowledge/entry_kinds.yml => what its value is once it was read
      READ = {
        "text" => [String], "person" => [String], "id" => [String], "choice" => [String], "date" => [String],
        "boolean" => [TrueClass, FalseClass], "money" => [Integer], "measure" => [Numeric], "measures" => [Array],
        "names" => [Array], "table" => [Hash]
      }.freeze

      # @param entry [Entry] as it was stored
      # Refuses, at kind or data/<name>, a kind that there is not, unknown and missing names, values of another sort.
      def self.check(entry)
        return if entry.undo?
        row = Tables.find("entry_kinds", "#{entry.stage}.#{entry.kind}")
        raise Refusal.at("kind", "#{entry.stage} has no entry called #{entry.kind}", "a kind of entry") unless row
        rules = row["data"].transform_keys { |name| name.delete_suffix("?") }
        missing = row["data"].keys.reject { |name| name.end_with?("?") } - entry.data.keys
        raise Refusal.at("data", "#{missing.join(", ")} is missing", rules.keys.join(", ")) if missing.any?
        entry.data.each { |name, value| check_value(rules, name, value) }
      end

      def self.check_value(rules, name, value)
        rule = rules.fetch(name) { raise Refusal.at("data/#{name}", "not part of this entry", rules.keys.join(", ")) }
        return if READ.fetch(rule["type"]).any? { |kind| value.is_a?(kind) }
        raise Refusal.at("data/#{name}", "a #{rule["type"]} is not stored like that", READ[rule["type"]].join(", "))
      end
      private_class_method :check_value
    end
  end
end
