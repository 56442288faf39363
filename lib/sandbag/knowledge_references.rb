# frozen_string_literal: true

module Sandbag
  # Whether the ids that one knowledge table names stand in another.
  module KnowledgeReferences
    CELL = /\A(?:\.|(?:\+\+|\+|--|-)[bc]?(?: (?:\+\+|\+|--|-)[bc])?)\z/
    # Conditions may name facts of the circuit, and what other stages saw, too.
    FACTS = {
      "side" => %w[brake clutch],
      "opens" => %w[nothing master below],
      "abs_stated" => %w[contradicted],
      "hold_after_bleed" => %w[failed],
      "rubber_seen" => %w[swollen]
    }.freeze
    HOLDS = %w[work release].freeze
    # A finding nobody has looked for yet, where a condition has to say so.
    NOT_LOOKED = "unknown"

    # @return [String, nil] what is wrong with a row of the likelihood matrix
    def self.likelihood(row)
      finding, value = row["id"].split(".", 2)
      wrong = conditions({finding => [value]})
      return wrong if wrong
      code, cell = row.except("id").find { |_, each| !each.match?(CELL) }
      code && "has “#{cell}” under #{code}; known are ++ + . - -- with b or c"
    end

    # @return [String, nil] what is wrong with conditions, key => values
    def self.conditions(conditions)
      conditions.each do |key, values|
        known = FACTS[key] || values_of(key)
        return "names unknown finding #{key}" unless known
        odd = values - known - [NOT_LOOKED]
        return "names unknown value #{odd.join(", ")} of #{key}" if odd.any?
      end
      nil
    end

    # @return [String, nil] what is wrong with a question of the intake
    def self.intake(row)
      odd = [row["finds"], row["asks_for"], row["offers"]].compact.flat_map(&:keys) - row["values"].keys
      return "reads unknown answer #{odd.join(", ")}" if odd.any?
      (row["finds"] || {}).values.filter_map { |finding, value| conditions({finding => [value]}) }.first ||
        ids("routes", (row["asks_for"] || {}).values.flatten)
    end

    # @return [String, nil] what is wrong with a red flag
    def self.red_flag(row)
      return "holds #{row["holds"]}; known are #{HOLDS.join(", ")}" unless HOLDS.include?(row["holds"])
      [row["when"] || {}, *row["when_any"]].filter_map { |each| conditions(each) }.first || ids("routes", row["cures"])
    end

    # @return [String, nil] what is wrong with what a mystery lever hides
    def self.mystery_fault(row)
      odd = (row["faults"] || {}).keys - Rig::Faults.members.map(&:to_s)
      return "hides unknown fault #{odd.join(", ")}" if odd.any?
      ids("causes", [row["cause"]]) || conditions((row["shows"] || {}).transform_values { |value| [value] })
    end

    def self.values_of(key)
      (Knowledge.find("findings", key) || Knowledge.find("intake", key))&.fetch("values")&.keys
    end
    private_class_method :values_of

    # @return [String, nil] what is wrong with the findings of an inspection
    def self.rules(values)
      odd = values.values.map { |value| value["rule"] } - Measure::Inspection::RULES
      "has unknown rule #{odd.join(", ")}; known are #{Measure::Inspection::RULES.join(", ")}" if odd.any?
    end

    # @return [String, nil] what is wrong with a route
    def self.route(row)
      ids("step_minutes", row["steps"]) || ids("prices", row["things"]) || ids("tools", row["tools"] || []) ||
        ids("circuit_kinds", [*row["kinds"], *row["adds"]]) || ids("gates", [*row["tests"], *row["gates"]]) ||
        moves(row["moves"] || []) || plan(row["plan"])
    end

    # What a repair may move, and Fit puts back.
    MOVES = %w[unit joint control switch reservoir feed hose ends far_end friction].freeze

    # @return [String, nil] what is wrong with what a route moves, or a row of Fit is for
    def self.moves(moves)
      odd = moves - MOVES
      "moves unknown #{odd.join(", ")}; known are #{MOVES.join(", ")}" if odd.any?
    end

    # @return [String, nil] what is wrong with a fastener
    def self.fastener(row)
      moves(row["moves"] || []) || ids("torques", row["defaults"].map { |each| each["torque"] })
    end

    def self.plan(stages)
      odd = stages - STAGES - Job::Route::PARTIAL.keys
      "plans unknown #{odd.join(", ")}; known are #{(STAGES + Job::Route::PARTIAL.keys).join(", ")}" if odd.any?
    end

    # @return [String, nil] what is wrong with a way to bleed
    def self.bleed_method(row)
      drives = Bleed::Drive::KINDS
      unless drives.key?(row.dig("drive", "by")) && (drives[row.dig("drive", "by")] - row["drive"].keys).empty?
        return "has no such drive; known are #{drives.map { |by, wants| [by, *wants].join(" ") }.join(", ")}"
      end
      ids("tools", row["tools"]) || ids("circuit_kinds", row["kinds"]) || ids("nipple_openings", [row["opening"]]) ||
        ids("bleed_beats", row["beats"] || []) || ids("bleed_checks", row["checks"]) ||
        ids("waits", [row["wait"]].compact)
    end

    # @return [String, nil] what is wrong with a check of the bleed
    def self.bleed_check(row)
      return "is asked at #{row["at"]}; known are start, end" unless %w[start end].include?(row["at"])
      odd = row["good"] - row["answers"].keys
      return "lets unknown answer #{odd.join(", ")} pass" if odd.any?
      ids("circuit_kinds", row["kinds"] || [])
    end

    # @return [String, nil] what is wrong with a test at the lever
    def self.feel_test(row)
      odd = row["good"] - row["answers"].keys
      return "lets unknown answer #{odd.join(", ")} pass" if odd.any?
      stage, finding, value = row["road"].values_at("stage", "finding", "value")
      return "leads to unknown stage #{stage}" unless STAGES.include?(stage)
      unmeasured = row["amount"] && (row["amount"].values_at("below", "above", "good") - row["answers"].keys)
      return "measures unknown answer #{unmeasured.join(", ")}" if unmeasured&.any?
      (finding && conditions({finding => [value]})) || ids("circuit_kinds", row["kinds"] || [])
    end

    # @return [String, nil] what is wrong with a release gate
    def self.gate(row)
      scope = Close::Scope
      odd = [row["if"], row["may_if"]].compact - scope::CONDITIONS
      return "applies if #{odd.first}; known are #{scope::CONDITIONS.join(", ")}" if odd.any?
      return "touches #{row["touches"]}; known are #{scope::TOUCHES.join(", ")}" if
        row["touches"] && !scope::TOUCHES.include?(row["touches"])
      known = Circuit::Kind.all.map(&:safety).uniq
      strange = [*row["must"], *row["may"]] - known
      return "is for #{strange.join(", ")}; known are #{known.join(", ")}" if strange.any?
      ids("gate_places", [row["place"]]) || ids("feel_tests", [row["test"]].compact)
    end

    # @return [String, nil] what is wrong with what is normal at a lever
    def self.expected_feel(row)
      known = Feel::Expected::WHEN
      "applies when #{row["when"]}; known are #{known.join(", ")}" unless known.include?(row["when"])
    end

    # What a rung of the ladder may need of a circuit.
    RUNG_NEEDS = %w[caliper remote high_spot].freeze

    # @return [String, nil] what is wrong with a rung of the ladder for stubborn air
    def self.stubborn_air(row)
      return "needs unknown #{row["needs"]}" if row["needs"] && !RUNG_NEEDS.include?(row["needs"])
      ids("bleed_methods", [row["method"]].compact) || ids("waits", [row["wait"]].compact) ||
        ids("findings", row["looks"] || [])
    end

    # @return [String, nil] what is wrong with a school: it is fixed, or one of its answers is the default
    def self.school(row)
      return if row["fixed"] && !row["answers"]
      answers = row["answers"] || {}
      return "has no default among its answers" unless answers.key?(row["default"])
      leanings = [row["prefers"], row["avoids"]].compact
      odd = leanings.flat_map(&:keys) - answers.keys
      return "leans on unknown answer #{odd.join(", ")}" if odd.any?
      ids("bleed_methods", leanings.flat_map(&:values).flatten) || ids("circuit_kinds", row["kinds"] || [])
    end

    # @return [String, nil] what is wrong with ids of another table
    def self.ids(table, ids)
      odd = ids.reject { |id| Knowledge.find(table, id) }
      "names unknown #{odd.join(", ")}; #{table} has none such" if odd.any?
    end
  end
end
