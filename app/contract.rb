# frozen_string_literal: true

require "json_schemer"
require "yaml"

module App
  # The one contract, api/openapi.yaml: what a request may hold, and (in the specs) what a response must.
  class Contract
    PATH = "#{ROOT}/api/openapi.yaml"
    Operation = Struct.new(:method, :path, :request, :responses, keyword_init: true)

    attr_reader :document, :operations

    def self.load
      new(YAML.safe_load_file(PATH))
    end

    def initialize(document)
      @document = document
      @openapi = JSONSchemer.openapi(document)
      @operations = read_operations.freeze
    end

    # @return [Array<Sandbag::Refusal::Problem>] what is wrong with a request body
    def problems(operation_id, body)
      operations.fetch(operation_id).request.validate(body).map { |error| problem(error) }.uniq
    end

    # @return [Array<String>] what is wrong with a response body
    def response_faults(operation_id, status, body)
      responses = operations.fetch(operation_id).responses
      schema = responses.fetch(status.to_s) { responses.fetch("default") }
      schema ? schema.validate(body).map { |error| "#{error["data_pointer"]}: #{error["error"]}" } : []
    end

    private

    def read_operations
      document["paths"].flat_map do |path, verbs|
        verbs.map { |verb, operation| [operation["operationId"], read_operation(verb, path, operation)] }
      end.to_h
    end

    def read_operation(verb, path, operation)
      pointer = "#/paths/#{path.gsub("/", "~1").gsub("{", "%7B").gsub("}", "%7D")}/#{verb}"
      responses = operation["responses"].to_h { |status, response| [status, schema_at("#{pointer}/responses/#{status}", response)] }
      Operation.new(method: verb, path: path, responses: responses,
        request: operation["requestBody"] && schema_at("#{pointer}/requestBody", operation["requestBody"]))
    end

    def schema_at(pointer, holder)
      if holder["$ref"]
        pointer = holder["$ref"]
        holder = document.dig(*pointer.delete_prefix("#/").split("/"))
      end
      type = holder["content"]&.keys&.find { |each| each.end_with?("json") }
      type && @openapi.ref("#{pointer}/content/#{type.gsub("/", "~1").gsub("+", "%2B")}/schema")
    end

    def problem(error)
      Sandbag::Refusal::Problem.new(pointer: error["data_pointer"].delete_prefix("/"), message: wording(error), accepted: accepted(error["schema"]))
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
