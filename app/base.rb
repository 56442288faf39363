# frozen_string_literal: true

require "sinatra/base"
require "date"
require "json"

module App
  # What every resource shares: reading a body by the contract, answering JSON, and turning refusals into problems.
  class Base < Sinatra::Base
    set :show_exceptions, false
    set :raise_errors, false
    set :host_authorization, {}
    disable :static, :protection, :logging, :method_override

    # One nested level more than any request needs.
    DEEPEST = 12
    PAGE = 50
    LONGEST_PAGE = 100

    # @param store [Store::All]
    # @param contract [Contract]
    # @param clock [#call] gives the time now
    def initialize(store:, contract:, clock: -> { Time.now })
      super()
      @store = store
      @contract = contract
      @clock = clock
    end

    attr_reader :store, :contract

    helpers do
      # @return [Hash] the body, as the contract has it for an operation
      def body_for(operation_id)
        media = request.media_type
        halt_problem(415, "the body is #{media || "of no kind"}", "application/json") unless media == "application/json"
        body = parse(request.body.read)
        problems = contract.problems(operation_id, body)
        raise Sandbag::Refusal.new(problems) if problems.any?
        body
      end

      def parse(text)
        text = text.dup.force_encoding(Encoding::UTF_8)
        halt_problem(400, "the body is not UTF-8 text", "JSON in UTF-8") unless text.valid_encoding?
        halt_problem(400, "the body holds a NUL character", "JSON without NUL characters") if text.match?(/\0|\\u0000/)
        JSON.parse(text, max_nesting: DEEPEST)
      rescue JSON::ParserError
        halt_problem(400, "the body is not JSON", "a JSON object")
      end

      def json(status, object)
        content_type "application/json"
        self.status(status)
        JSON.generate(object)
      end

      def halt_problem(status, message, accepted = nil)
        halt status, {"content-type" => Problem::TYPE}, Problem.of(status, message, accepted: accepted)
      end

      def problem(status, problems)
        content_type Problem::TYPE
        self.status(status)
        Problem.body(status, problems)
      end

      def page_limit
        text = params.fetch("limit", PAGE.to_s)
        return text.to_i if text.match?(/\A\d{1,3}\z/) && text.to_i.between?(1, LONGEST_PAGE)
        raise Sandbag::Refusal.at("limit", "limit of #{text[0, 20]} cannot be served", "1 to #{LONGEST_PAGE}")
      end

      # @return [Sandbag::Shop]
      def shop
        ShopSettings.read(store)
      end

      def today
        @clock.call.to_date
      end

      def now
        @clock.call.utc.iso8601(3)
      end
    end

    error Sandbag::Refusal do
      problem(422, env["sinatra.error"].problems)
    end

    error Store::Missing do
      missing = env["sinatra.error"]
      problem(404, [Sandbag::Refusal::Problem.new(pointer: "id", message: missing.message, accepted: "an id from a list")])
    end

    not_found do
      content_type Problem::TYPE
      Problem.of(404, "there is nothing at this address", accepted: "a path of /api/openapi.json")
    end

    error do
      fault = env["sinatra.error"]
      warn "#{fault.class}: #{fault.message}\n  #{fault.backtrace.first(8).join("\n  ")}"
      problem(500, [Sandbag::Refusal::Problem.new(pointer: "", message: "something broke here; nothing was stored")])
    end
  end
end
