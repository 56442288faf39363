# frozen_string_literal: true

require "json_schemer"
require "yaml"

module App
  # The one contract, api/openapi.yaml: what a request may hold, and (in the specs) what a response must.
  class Contract
    PATH = "#{ROOT}/api/openapi.yaml"
    # Faults beyond this many say nothing new.
    MOST_PROBLEMS = 20

    # @attr request, responses [JSONSchemer::Schema] of JSON bodies; quick [Proc] whether a request body passes; query
    #   [Hash{String => Parameter}]
    Operation = Struct.new(:method, :path, :query, :request, :quick, :responses, keyword_init: true)

    # @attr schema [JSONSchemer::Schema]; type [String] of what the text is read as
    Parameter = Struct.new(:schema, :type, :required, keyword_init: true)

    attr_reader :document, :operations

    # @return [Contract] read once in a process
    def self.load
      @load ||= new(YAML.safe_load_file(PATH))
    end

    def initialize(document)
      @document = document
      @openapi = JSONSchemer.openapi(document)
      @quick = QuickCheck.new(document)
      @operations = read_operations.freeze
      @quick.finish
    end

    # @return [Array<Sandbag::Refusal::Problem>] what is wrong with a request body
    def problems(operation_id, body)
      operation = operations.fetch(operation_id)
      operation.quick.call(body) ? [] : faults(operation.request, body)
    end

    # @param pairs [Array<Array(String, String)>] the query as it came
    # @return [Array(Hash, Array<Sandbag::Refusal::Problem>)] parameters read, and what is wrong with them
    def query(operation_id, pairs)
      known = operations.fetch(operation_id).query
      read = pairs.to_h { |name, text| [name, known.key?(name) ? value(known[name].type, text) : text] }
      strange = (read.keys - known.keys).map { |name| problem_of(name, "is not asked here", known.keys.join(", ")) }
      twice =
        pairs
          .map(&:first)
          .tally
          .select { |_, times| times > 1 }
          .keys
          .map { |name| problem_of(name, "is given twice", "once") }
      missing =
        known
          .select { |name, parameter| parameter.required && !read.key?(name) }
          .keys
          .map { |name| problem_of(name, "is missing", nil) }
      wrong =
        read
          .slice(*known.keys)
          .flat_map do |name, given|
            faults(known[name].schema, given).map { |each| problem_of(name, each.message, each.accepted) }
          end
      [read, (strange + twice + missing + wrong).first(MOST_PROBLEMS)]
    end

    # @return [Array<String>] what is wrong with a response body
    def response_faults(operation_id, status, body)
      responses = operations.fetch(operation_id).responses
      schema = responses.fetch(status.to_s) { responses.fetch("default") }
      schema ? schema.validate(body).map { |error| "#{error["data_pointer"]}: #{error["error"]}" } : []
    end

    private

    def faults(schema, given)
      schema.validate(given).first(MOST_PROBLEMS).map { |error| problem(error) }.uniq
    end

    # Text that is no number or no yes or no stays text, for the schema to refuse.
    def value(type, text)
      case type
      when "integer" then text.match?(/\A\d{1,9}\z/) ? text.to_i : text
      when "number" then text.match?(/\A\d{1,9}(\.\d{1,9})?\z/) ? text.to_f : text
      when "boolean" then {"true" => true, "false" => false}.fetch(text, text)
      else text
      end
    end

    def read_operations
      document["paths"].flat_map do |path, verbs|
        verbs.map { |verb, operation| [operation["operationId"], read_operation(verb, path, operation)] }
      end.to_h
    end

    def read_operation(verb, path, operation)
      pointer = "#/paths/#{escaped(path)}/#{verb}"
      responses =
        operation["responses"].to_h do |status, response|
          [status, schema_at("#{pointer}/responses/#{status}", response)]
        end
      Operation.new(
        method: verb,
        path: path,
        responses: responses,
        query: parameters(pointer, operation),
        request: operation["requestBody"] && schema_at("#{pointer}/requestBody", operation["requestBody"]),
        quick: quick(operation)
      )
    end

    def quick(operation)
      json = operation.dig("requestBody", "content", "application/json")
      json && @quick.compile(json["schema"])
    end

    def parameters(pointer, operation)
      given =
        (operation["parameters"] || []).each_with_index.map do |holder, index|
          resolved(holder, "#{pointer}/parameters/#{index}")
        end
      given
        .select { |parameter, _| parameter["in"] == "query" }
        .to_h do |parameter, place|
          [
            parameter["name"],
            Parameter.new(
              schema: @openapi.ref("#{place}/schema"),
              type: parameter.dig("schema", "type"),
              required: parameter["required"]
            )
          ]
        end
    end

    def schema_at(pointer, holder)
      holder, pointer = resolved(holder, pointer)
      type = holder["content"]&.keys&.find { |each| each.end_with?("json") }
      type && @openapi.ref("#{pointer}/content/#{escaped(type).gsub("+", "%2B")}/schema")
    end

    # @return [Array(Hash, String)] what a $ref points to, and where that stands
    def resolved(holder, pointer)
      reference = holder["$ref"]
      reference ? [document.dig(*reference.delete_prefix("#/").split("/")), reference] : [holder, pointer]
    end

    def escaped(name)
      name.gsub("/", "~1").gsub("{", "%7B").gsub("}", "%7D")
    end

    def problem(error)
      problem_of(error["data_pointer"].delete_prefix("/"), wording(error), accepted(error["schema"]))
    end

    def problem_of(pointer, message, accepted)
      Sandbag::Refusal::Problem.new(pointer: pointer, message: message, accepted: accepted)
    end

    def wording(error)
      case error["type"]
      when "required" then "is missing #{error.dig("details", "missing_keys")&.join(", ")}"
      when "schema" then "is not part of the contract here"
      else error["error"]
      end
    end

    def accepted(schema)
      return unless schema.is_a?(Hash)
      return schema["enum"].join(", ") if schema["enum"]
      schema["properties"]&.keys&.join(", ")
    end
  end
end
