# frozen_string_literal: true

module Sandbag
  module Cylinder
    # Reads a construction or a part group and refuses one that does not hold together: a part that no step takes out,
    # or two do; a step that is not in the order; an unknown part, tool, caution, direction or lubricant.
    class ConstructionFile
      # new: always a new one. kit: comes with the kit. reuse: used again if it passes. stays: comes loose, never in
      # the tray.
      ONCE = %w[new kit reuse stays].freeze
      LUBE_PLACES = %w[own rubber dry].freeze

      PARTS = {
        "label" => String,
        "quantity" => Integer,
        "least?" => Integer,
        "most?" => Integer,
        "once" => String,
        "way?" => Hash,
        "lube?" => Array,
        "check?" => String
      }.freeze
      STEPS = {
        "label" => String,
        "takes" => Array,
        "does?" => String,
        "flies?" => String,
        "leaks?" => String,
        "lost?" => String,
        "tools" => Array,
        "opens?" => [TrueClass, FalseClass],
        "cover?" => String,
        "caution?" => String,
        "needs?" => String,
        "together?" => String
      }.freeze

      def initialize(path)
        @path = path
      end

      # @return [Hash] id, label, order, section, parts, steps, frozen
      # Raises Tables::Fault with file and line.
      def read
        root = Tables::Source.parse(@path)
        fault(1, "is not one construction") unless root.is_a?(Psych::Nodes::Mapping)
        @nodes = root.children.each_slice(2).to_h { |key, value| [key.value, value] }
        missing = %w[id label order parts steps] - @nodes.keys
        fault(1, "has no #{missing.join(", ")}") if missing.any?
        @parts = Tables::Rows.new(@path, @nodes["parts"], PARTS, ->(part) { part_fault(part) })
        @steps = Tables::Rows.new(@path, @nodes["steps"], STEPS, ->(step) { step_fault(step) })
        plain = root.to_ruby.merge("parts" => @parts.rows, "steps" => @steps.rows)
        check_taken
        check_order(plain)
        check_gauge(plain)
        Tables::Source.freeze_deep(plain)
      end

      private

      def part_fault(part)
        return "is #{part["once"]}; known are #{ONCE.join(", ")}" unless ONCE.include?(part["once"])
        odd = (part["lube"] || []) - LUBE_PLACES
        return "has unknown lube #{odd.join(", ")}; known are #{LUBE_PLACES.join(", ")}" if odd.any?
        way = part["way"]
        return unless way
        return "has a way without its feature" unless way["feature"].is_a?(String)
        "faces #{way["faces"].inspect}; directions has none such" unless Tables.find("directions", way["faces"])
      end

      def step_fault(step)
        Tables.unknown("tools", step["tools"]) || Tables.unknown("cautions", [step["caution"]].compact) ||
          Tables.unknown("steps_together", [step["together"]].compact) || alone_fault(step)
      end
      ALONE = %w[flies opens caution].freeze

      def alone_fault(step)
        alone = step.keys & ALONE
        "is done together with others, which a step with #{alone.join(", ")} is not" if step["together"] && alone.any?
      end

      def check_taken
        takers = @steps.rows.flat_map { |step| step["takes"].map { |part| [part, step["id"]] } }
        unknown = takers.find { |part, _| @parts.rows.none? { |row| row["id"] == part } }
        @steps.fault(@steps.line_of(unknown[1]), "#{unknown[1]} takes unknown part #{unknown[0]}") if unknown
        @parts.rows.each do |part|
          times = takers.count { |id, _| id == part["id"] }
          next if times == 1
          @parts.fault(
            @parts.line_of(part["id"]),
            "#{part["id"]} is #{times.zero? ? "never removed" : "removed #{times} times"}"
          )
        end
      end

      def check_order(plain)
        order = plain["order"]
        lost = plain["steps"].find { |step| !order.include?(step["id"]) }
        @steps.fault(@steps.line_of(lost["id"]), "#{lost["id"]} is not in the order") if lost
        known =
          plain["steps"].map { |step| step["id"] } + Tables.ids("strip_actions") + group_ids
        odd = order - known
        fault(@nodes["order"].start_line + 1, "the order names unknown #{odd.join(", ")}") if odd.any?
        twice = order.find { |id| order.count(id) > 1 }
        fault(@nodes["order"].start_line + 1, "the order names #{twice} twice") if twice
        odd = [*plain["removal"], *plain["asked"], *plain["unbolts"]] - plain["steps"].map { |step| step["id"] }
        fault(1, "names unknown steps #{odd.join(", ")}") if odd.any?
        odd = (plain["section"] || []) - plain["parts"].map { |part| part["id"] }
        fault(@nodes["section"].start_line + 1, "the section names unknown #{odd.join(", ")}") if odd.any?
      end

      def check_gauge(plain)
        odd = Tables.unknown("gauge_places", plain["gauge"] || [])
        fault(@nodes["gauge"].start_line + 1, odd) if odd
      end

      # Groups name no groups.
      def group_ids
        (File.basename(File.dirname(@path)) == "part_groups") ? [] : Tables.ids("part_groups")
      end

      def fault(line, text)
        raise Tables::Fault, "#{@path}:#{line}: #{text}"
      end
    end
  end
end
