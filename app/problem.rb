# frozen_string_literal: true

require "json"

module App
  # A refusal as the web hears it (RFC 9457).
  module Problem
    TYPE = "application/problem+json"
    TITLES = {
      400 => "Not readable",
      403 => "Not allowed from there",
      404 => "Not found",
      405 => "Not that way",
      409 => "Used or changed meanwhile",
      413 => "Too large",
      415 => "Not that kind",
      422 => "Not acceptable",
      503 => "Busy",
      507 => "No room",
      500 => "A fault of ours"
    }.freeze

    # @param problems [Array<Sandbag::Refusal::Problem>]
    def self.body(status, problems)
      errors =
        problems.map do |problem|
          {pointer: problem.pointer, message: problem.message, accepted: problem.accepted}.compact
        end
      JSON.generate(type: "about:blank", title: TITLES.fetch(status), status: status, errors: errors)
    end

    def self.of(status, message, pointer: "", accepted: nil)
      body(status, [Sandbag::Refusal::Problem.new(pointer: pointer, message: message, accepted: accepted)])
    end

    # @return [Array] a whole Rack response
    def self.response(status, message, accepted: nil)
      [status, {"content-type" => TYPE}, [of(status, message, accepted: accepted)]]
    end
  end
end
