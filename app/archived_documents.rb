# frozen_string_literal: true

module App
  # What an archive brings is read through the same readers as what is shown, before it is stored.
  class ArchivedDocuments
    # @param contract [Contract]; today [Date]
    def initialize(contract, today)
      @contract = contract
      @today = today
    end

    # A circuit that no page could show or work out is refused.
    # @param circuit [Hash] as it is exported
    def check_circuit(circuit)
      sheet = Sandbag::Circuit::Sheet.stored(exported(circuit["sheet"]))
      row = {id: circuit["id"], machine_id: "m", name: circuit["name"], revision: 0, sheet: sheet.to_h}
      shown = JSON.parse(JSON.generate(CircuitView.of(row, @today)))
      refuse(@contract.response_faults("getCircuit", 200, shown))
    rescue JSON::GeneratorError, FloatDomainError, ZeroDivisionError
      raise Sandbag::Refusal.at("", "nothing can be worked out of these values", "a circuit that can be")
    end

    # @param job [Hash] as it is exported
    def check_rest(job)
      check_days(job)
      each(job, "levers") { |lever| check_lever(exported(lever)) }
      each(job, "comparisons") { |comparison| exported(comparison["body"]) }
      within("headline") { check_line(exported(job["headline"])) } if job["closed_at"]
    end

    private

    def exported(plain)
      Store::Document.exported(plain)
    end

    def each(job, list)
      job[list].each_with_index { |thing, index| within("#{list}/#{index}") { yield thing } }
    end

    def within(place, &)
      Sandbag::Refusal.within(place, &)
    end

    def check_days(job)
      each(job, "rechecks") do |recheck|
        next if Sandbag::Day.iso?(recheck["due_on"])
        raise Sandbag::Refusal.at("due_on", "“#{recheck["due_on"]}” is no day", "a day such as 2026-03-14")
      end
    end

    # What a lever is ranked by: a brake by the travel that its air costs, a clutch by its lift.
    RANKED_BY = [%w[cost_mm cost_error_mm limit_mm], %w[lift_mm lift_error_mm wanted_mm]].freeze

    def check_lever(lever)
      return if RANKED_BY.any? { |names| lever.values_at(*names).all?(Numeric) && lever[names.last].positive? }
      raise Sandbag::Refusal.at("", "says nothing that a lever is ranked by", "a lever as a signed job found it")
    end

    def check_line(headline)
      line = {"id" => "j", "machine" => {"id" => "m", "name" => ""}, "circuit" => {"id" => "c", "name" => ""},
              "opened_at" => "", **headline}
      refuse(@contract.response_faults("listJobs", 200, {"items" => [line]}))
    end

    def refuse(faults)
      return if faults.empty?
      raise Sandbag::Refusal.at("", "is damaged: #{faults.first}", "what Sandbag writes")
    end
  end
end
