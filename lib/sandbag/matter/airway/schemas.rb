# frozen_string_literal: true

module Sandbag
  module Airway
    # The tables of this room (knowledge/airway): their columns, and what their rows must hold to.
    module Schemas
      WHERE = %w[high_spot low pocket].freeze

      TABLES = {
        "suppositions" => Tables::Schema.new({
          "label" => String,
          "with" => Hash,
          "where?" => String
        }) { |row| Schemas.supposition(row) },
        "bleed_methods" => Tables::Schema.new({
          "label" => String,
          "people" => Integer,
          "opening" => String,
          **Circuit::SUITS,
          "not_for" => String,
          "unfit?" => Array,
          "usual?" => Array,
          "reverse?" => [TrueClass, FalseClass],
          "one_end?" => [TrueClass, FalseClass],
          "turned?" => [TrueClass, FalseClass],
          "needs_tool?" => [TrueClass, FalseClass],
          "aid?" => [TrueClass, FalseClass],
          "drive" => Hash,
          "tools" => Array,
          "waste_ml" => Numeric,
          "least_ml?" => Numeric,
          "minutes" => Integer,
          "cycle" => Array,
          "fails" => Array,
          "before?" => Array,
          "beats" => Array,
          "after?" => Array,
          "refills_open?" => TrueClass,
          "pays?" => String,
          "slips?" => Array,
          "fittings?" => Array,
          "checks" => Array,
          "order?" => String,
          "wait?" => String,
          "tight?" => [TrueClass, FalseClass],
          "both?" => [TrueClass, FalseClass],
          "report?" => [TrueClass, FalseClass],
          "abs_gate?" => Array
        }) { |row| Schemas.bleed_method(row) },
        "bleed_beats" => Tables::Schema.new({
          "label" => String,
          "how" => String,
          "watch?" => String,
          "ends?" => String,
          "nipple?" => String,
          "seconds?" => Integer,
          "times?" => Integer,
          "helper?" => [TrueClass, FalseClass],
          "records?" => String,
          "once?" => [TrueClass, FalseClass]
        }) { |row| Schemas.bleed_beat(row) },
        "bleed_slips" => Tables::Schema.new({
          "label" => String,
          "says" => String,
          "wait?" => String
        }) { |row| Tables.unknown("waits", [row["wait"]].compact) },
        "bleed_checks" => Tables::Schema.new({
          "at" => String,
          "label" => String,
          "does" => String,
          "answers" => Hash,
          "good" => Array,
          **Circuit::SUITS,
          "school?" => String,
          "cause?" => String,
          "abs?" => [TrueClass, FalseClass],
          "alone?" => TrueClass,
          "rises?" => [TrueClass, FalseClass]
        }) { |row| Schemas.bleed_check(row) },
        "schools" => Tables::Schema.new({
          "label" => String,
          "answers?" => Hash,
          "amounts?" => Hash,
          "default?" => String,
          "why?" => String,
          "fixed?" => String,
          **Circuit::SUITS,
          "dry?" => [TrueClass, FalseClass],
          "prefers?" => Hash,
          "avoids?" => Hash
        }) { |row| Schemas.school(row) },
        "nipple_openings" => Tables::Schema.new({
          "label" => String,
          "turns" => Numeric,
          "bore" => Numeric
        })
      }.freeze

      # @return [String, nil] what is wrong with a bleeding method
      def self.bleed_method(row)
        drives = Drive::KINDS
        unless drives.key?(row.dig("drive", "by")) && (drives[row.dig("drive", "by")] - row["drive"].keys).empty?
          return "has no such drive; known are #{drives.map { |by, wants| [by, *wants].join(" ") }.join(", ")}"
        end
        odd = (row["unfit"] || []) - MethodTable::LINES.keys
        return "is unfit for #{odd.first}; known are #{MethodTable::LINES.keys.join(", ")}" if odd.any?
        Circuit::Kind.unknown(row) || Circuit::Kind.unknown({"needs" => row["usual"] || []}) ||
          Tables.unknown("tools", row["tools"]) ||
          Tables.unknown("nipple_openings", [row["opening"]]) || Tables.unknown("bleed_slips", row["slips"] || []) ||
          Tables.unknown("bleed_beats", row.values_at("before", "beats", "after").compact.flatten) ||
          Tables.unknown("bleed_checks", row["checks"]) || Tables.unknown("waits", [row["wait"]].compact)
      end

      RECORDS = %w[run topped_up].freeze

      # @return [String, nil] what is wrong with a step of a bleed
      def self.bleed_beat(row)
        odd = [row["records"]].compact - RECORDS
        return "records unknown #{odd.first}; known are #{RECORDS.join(", ")}" if odd.any?
        "leaves the nipple #{row["nipple"]}; known are open, shut" unless [nil, "open", "shut"].include?(row["nipple"])
      end

      # @return [String, nil] what is wrong with what may be supposed
      def self.supposition(row)
        odd = [row["where"]].compact - WHERE
        return "is for lines with #{odd.first}; known are #{WHERE.join(", ")}" if odd.any?
        odd = Supposition.keywords(row["with"]).keys - Way.members
        "supposes unknown #{odd.join(", ")}" if odd.any?
      end

      # @return [String, nil] what is wrong with a check of the bleed
      def self.bleed_check(row)
        return "is asked at #{row["at"]}; known are start, end" unless %w[start end].include?(row["at"])
        odd = row["good"] - row["answers"].keys
        return "lets unknown answer #{odd.join(", ")} pass" if odd.any?
        Circuit::Kind.unknown(row)
      end

      # @return [String, nil] what is wrong with a school: it is fixed, or one of its answers is the default
      def self.school(row)
        return if row["fixed"] && !row["answers"]
        answers = row["answers"] || {}
        return "has no default among its answers" unless answers.key?(row["default"])
        leanings = [row["prefers"], row["avoids"]].compact
        odd = leanings.flat_map(&:keys) - answers.keys
        return "leans on unknown answer #{odd.join(", ")}" if odd.any?
        Tables.unknown("bleed_methods", leanings.flat_map(&:values).flatten) || Circuit::Kind.unknown(row)
      end
    end
  end
end
