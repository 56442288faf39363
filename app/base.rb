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

    # @param store [Store::All]; memory [Memory] what was folded out of it
    # @param contract [Contract]
    # @param clock [#call] gives the time now
    def initialize(store:, memory:, contract:, clock: -> { Time.now })
      super()
      @store = store
      @memory = memory
      @contract = contract
      @clock = clock
    end

    attr_reader :store, :memory, :contract

    # The page counts down by the server's clock, not by its device's.
    after { headers "sandbag-time" => @clock.call.utc.iso8601(3) }

    helpers do
      # @return [Hash] the body, as the contract has it for an operation
      def body_for(operation_id)
        media = request.media_type
        halt_problem(415, "the body is #{media || "of no kind"}", "application/json") unless media == "application/json"
        body = parse(text_of_body)
        problems = contract.problems(operation_id, body)
        raise Sandbag::Refusal.new(problems) if problems.any?
        body
      end

      # A body in chunks says nowhere how long it is.
      def text_of_body(most = BodyLimit::BYTES)
        text = request.body.read(most + 1).to_s
        if text.bytesize > most
          halt_problem(413, "the body is over #{most / BodyLimit::BYTES} MB", "up to #{most} bytes")
        end
        text
      end

      def parse(text)
        text = text.dup.force_encoding(Encoding::UTF_8)
        halt_problem(400, "the body is not UTF-8 text", "JSON in UTF-8") unless text.valid_encoding?
        halt_problem(400, "the body holds a NUL character", "JSON without NUL characters") if text.match?(/\0|\\u0000/)
        JSON.parse(text, max_nesting: DEEPEST)
      rescue JSON::ParserError
        halt_problem(400, "the body is not JSON", "a JSON object")
      end

      # @return [Hash] parameters of the query, read by the contract
      # Refuses those the contract does not have, twice the same, and values it does not take.
      def query_for(operation_id)
        read, problems = contract.query(operation_id, Query.parse(request.query_string))
        raise Sandbag::Refusal.new(problems) if problems.any?
        read
      end

      # Figures in sentences are written in the shop's units on the way out.
      def json(status, object)
        content_type "application/json"
        self.status(status)
        said(JSON.generate(object))
      end

      # The shop is asked only where there is a figure to be written.
      def said(text)
        text.include?(Sandbag::Said::OPEN) ? Sandbag::Said.in(text, shop.display) : text
      end

      # @return what JSON would make of it, in the shop's units: for documents
      def plain(object)
        JSON.parse(said(JSON.generate(object)))
      end

      # A list as CSV, looked through, and taken in where that is asked for.
      # @yieldparam bytes [String]; @yieldreturn [ListImport]
      # @return [Hash]
      def taken(asked)
        halt_problem(415, "the body is #{request.media_type || "of no kind"}", "text/csv") unless
          request.media_type == "text/csv"
        list = yield text_of_body
        list.to_h(asked["take"] ? list.take(store) : false)
      end

      # @param text [String] a drawing
      def svg(name, text)
        content_type "image/svg+xml"
        headers "content-disposition" => "inline; filename=\"#{name}.svg\""
        text
      end

      # @param text [String] CSV
      def csv(name, text)
        content_type "text/csv; charset=utf-8"
        headers "content-disposition" => "attachment; filename=\"#{name}.csv\""
        text
      end

      def pdf(name, bytes)
        content_type "application/pdf"
        headers "content-disposition" => "inline; filename=\"#{name}.pdf\""
        bytes
      end

      # @yieldreturn [Array(String, String)] what the list is sorted by, and the id
      # @return [String, nil] where the next page starts
      def next_of(rows, limit)
        Store::Cursor.write(*yield(rows.last)) if rows.size == limit
      end

      # A thing that is there already must be the one that is sent again.
      # @return [Boolean] true
      # Refuses, as a clash, one that differs.
      def same!(what, known, sent)
        odd = sent.keys.find { |name| known[name] != sent[name] }
        raise Clash, "#{what} is there already, with another #{odd}" if odd
        true
      end

      def halt_problem(status, message, accepted = nil)
        halt status, {"content-type" => Problem::TYPE}, Problem.of(status, message, accepted: accepted)
      end

      def problem(status, problems)
        content_type Problem::TYPE
        self.status(status)
        said(Problem.body(status, problems))
      end

      # What the error that ended a request says of itself, and what would be accepted.
      def trouble(status, pointer, accepted)
        said = env["sinatra.error"].message
        problem(status, [Sandbag::Refusal::Problem.new(pointer: pointer, message: said, accepted: accepted)])
      end

      def log_fault(fault)
        warn "#{fault.class}: #{fault.message.inspect}\n  #{fault.backtrace.first(8).join("\n  ")}"
      end

      # @return [Sandbag::Shop]
      def shop
        memory.shop(store)
      end

      def due_book
        DueBook.new(store, shop, today)
      end

      def circuit_record
        CircuitRecord.new(store, due_book)
      end

      # @param row [Hash] of a circuit
      def circuit_view(row)
        CircuitView.of(row, today, other: store.circuits.other_control(row[:id]))
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
      trouble(404, "id", "an id from a list")
    end

    error Store::Document::Damaged do
      log_fault(env["sinatra.error"])
      trouble(422, "", "the last backup for this one; everything else can be used")
    end

    error Clash do
      trouble(409, "id", "an id not used before")
    end

    error Stale do
      problem(409, env["sinatra.error"].problems)
    end

    error JobDesk::Busy, Store::Busy do
      trouble(503, "", "the same again in a moment")
    end

    error Store::Full do
      trouble(507, "", "the same again, once there is room")
    end

    not_found do
      content_type Problem::TYPE
      Problem.of(404, "there is nothing at this address", accepted: "a path of /api/openapi.json")
    end

    error do
      log_fault(env["sinatra.error"])
      problem(500, [Sandbag::Refusal::Problem.new(pointer: "", message: "something broke here; nothing was stored")])
    end
  end
end
