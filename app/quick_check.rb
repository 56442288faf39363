# frozen_string_literal: true

require "json_schemer"

module App
  # A schema of the contract compiled to one yes or no. The schema library says what is wrong with a body, and is slow
  # at saying that nothing is; this knows the keywords that the contract uses, and no others.
  class QuickCheck
    # A keyword that is not compiled here. A fault of the contract, not of a user.
    class Unknown < StandardError; end

    # Keywords that say nothing of a value.
    SILENT = %w[description title default example contentEncoding x-error $schema $id $defs].freeze
    # Keywords of an object's members, looked at together.
    MEMBERS = %w[required properties additionalProperties].freeze
    TYPES = {
      "object" => ->(value) { value.is_a?(Hash) }, "array" => ->(value) { value.is_a?(Array) },
      "string" => ->(value) { value.is_a?(String) }, "null" => ->(value) { value.nil? },
      "number" => ->(value) { value.is_a?(Numeric) }, "boolean" => ->(value) { value == true || value == false },
      "integer" => ->(value) { value.is_a?(Integer) || (value.is_a?(Float) && value.finite? && value == value.floor) }
    }.freeze

    FORMATS = {"date-time" => JSONSchemer::Format::DATE_TIME}.freeze

    # @param document [Hash] the contract
    def initialize(document)
      @document = document
      @compiled = {}
    end

    # Compiles every schema that was referred to, so that a keyword unknown here is found before anybody asks.
    def finish
      while (pointer = @compiled.key(nil))
        @compiled[pointer] = compile(@document.dig(*pointer.delete_prefix("#/").split("/")))
      end
    end

    # @param schema [Hash]
    # @return [Proc] value → whether the schema lets it through
    def compile(schema)
      return reference(schema["$ref"]) if schema.key?("$ref")
      checks = schema.except(*SILENT, *MEMBERS).map { |keyword, rule| check(keyword, rule, schema) }
      checks << members(schema) if MEMBERS.any? { |keyword| schema.key?(keyword) }
      (checks.size == 1) ? checks.first : ->(value) { checks.all? { |each| each.call(value) } }
    end

    private

    # Looked up when a value comes: a schema may hold itself.
    def reference(pointer)
      @compiled[pointer] ||= nil
      ->(value) { @compiled[pointer].call(value) }
    end

    def check(keyword, rule, schema)
      case keyword
      when "type"
        type(Array(rule))
      when "enum"
        ->(value) { rule.include?(value) }
      when "const"
        ->(value) { value == rule }
      when "items"
        compile(rule).then { |each| on(Array) { |value| value.all?(&each) } }
      when "format"
        FORMATS.fetch(rule).then { |format| on(String) { |value| format.call(value, rule) } }
      when "allOf"
        rule.map { |each| compile(each) }.then { |all| ->(value) { all.all? { |each| each.call(value) } } }
      when "minItems"
        on(Array) { |value| value.size >= rule }
      when "maxItems"
        on(Array) { |value| value.size <= rule }
      when "minProperties"
        on(Hash) { |value| value.size >= rule }
      when "maxProperties"
        on(Hash) { |value| value.size <= rule }
      when "minLength"
        on(String) { |value| value.length >= rule }
      when "maxLength"
        on(String) { |value| value.length <= rule }
      when "pattern"
        Regexp
          .new(JSONSchemer::EcmaRegexp.ruby_equivalent(rule))
          .then { |pattern| on(String) { |value| value.match?(pattern) } }
      when "minimum"
        on(Numeric) { |value| value >= rule }
      when "maximum"
        on(Numeric) { |value| value <= rule }
      else
        raise Unknown, "#{keyword} in #{schema}"
      end
    end

    def type(names)
      tests = names.map { |name| TYPES.fetch(name) }
      (tests.size == 1) ? tests.first : ->(value) { tests.any? { |test| test.call(value) } }
    end

    def members(schema)
      rules = schema.fetch("properties", {}).transform_values { |rule| compile(rule) }
      others = others(schema.fetch("additionalProperties", true))
      required = schema.fetch("required", [])
      # any? makes no array of each pair, as all? and none? do
      on(Hash) do |value|
        required.all? { |name| value.key?(name) } &&
          !value.any? { |name, each| !rules.fetch(name, others).call(each) }
      end
    end

    def others(rule)
      case rule
      when true, false then ->(_) { rule }
      else compile(rule)
      end
    end

    # What a keyword says of values of its own kind; others pass.
    def on(kind)
      ->(value) { !value.is_a?(kind) || yield(value) }
    end
  end
end
