# frozen_string_literal: true

module Sandbag
  module Ask
    # Complaint, findings, and the route out.
    class Stage
      attr_reader :findings, :complaint

      # @param entries [Array<Job::Entry>] of this stage, in force
      # @param sheet [Circuit::Sheet]
      def initialize(entries, sheet)
        @sheet = sheet
        @complaint = entries.reverse.find { |entry| entry.kind == "complaint" }&.data&.fetch("text")
        @findings = entries.select { |entry| entry.kind == "finding" }.to_h { |entry| entry.data.values_at("finding", "value") }.freeze
        @chosen = entries.reverse.find { |entry| entry.kind == "route" }
        freeze
      end

      # @return [Hash, nil] the rule that the findings lead to
      def proposal
        RouteRule.first_match(findings, facts)
      end

      # @return [Hash, nil] the route in force: the mechanic's, unless the findings say stop
      def route
        return Knowledge.find("routes", proposal["route"]) if stop
        @chosen && Knowledge.find("routes", @chosen.data["route"])
      end

      # A job that opens a joint: the circuit is filled anew and bled from the master outwards.
      def opened?
        !route.nil? && route["opens"]
      end

      # Findings that send the machine elsewhere, whatever route was picked; or a referral that was picked.
      # @return [String, nil]
      def stop
        return proposal["stop"] if proposal&.key?("stop")
        "Referred by the mechanic." if @chosen && Knowledge.find("routes", @chosen.data["route"])["stops"]
      end

      def done?
        !route.nil? && stop.nil?
      end

      def waits_for
        return stop if stop
        return if route
        proposal ? "a route: #{Knowledge.find("routes", proposal["route"])["label"].downcase} is proposed" : "a finding: #{next_finding&.fetch("label")&.downcase || "route"}"
      end

      def unresolved
        stop
      end

      # @return [Array<Hash>] findings that can be asked on this circuit
      def askable
        Knowledge.table("findings").select { |finding| ["a", @sheet.clutch? ? "c" : "b"].include?(finding["for"]) && relevant?(finding) }
      end

      # Refuses a value the finding does not have, and a route other than a referral while a stop is in force.
      def admit(entry)
        admit_finding(entry) if entry.kind == "finding"
        return unless entry.kind == "route" && stop && !Knowledge.find("routes", entry.data["route"])["stops"]
        raise Refusal.at("data/route", "do not use: #{stop}", "refer, or a corrected finding")
      end

      def to_h
        {complaint: complaint, findings: findings, askable: askable.map { |finding| finding["id"] }, next_finding: next_finding&.fetch("id"),
         proposal: proposal&.slice("route", "reason", "stop"), route: route&.fetch("id"), reason: reason,
         against_proposal: against_proposal, opened: opened?}.compact
      end

      private

      def facts
        @sheet.clutch? ? {} : {"abs" => @sheet.value("vehicle", "abs")}
      end

      def relevant?(finding)
        finding["id"] != "abs_state" || facts["abs"] != "none"
      end

      def next_finding
        askable.find { |finding| !findings.key?(finding["id"]) }
      end

      def reason
        return proposal["reason"] if route && proposal && proposal["route"] == route["id"]
        @chosen&.data&.fetch("reason", nil)
      end

      def against_proposal
        return unless route && proposal && proposal["route"] != route["id"]
        "The findings point to #{Knowledge.find("routes", proposal["route"])["label"].downcase}: #{proposal["reason"]}"
      end

      def admit_finding(entry)
        finding = Knowledge.find("findings", entry.data["finding"])
        return if finding["values"].key?(entry.data["value"])
        raise Refusal.at("data/value", "#{finding["label"]} cannot be “#{entry.data["value"]}”", finding["values"].keys.join(", "))
      end
    end
  end
end
