# frozen_string_literal: true

module Sandbag
  module Ask
    # Complaint, findings, what they point to, what must stop, and the route out.
    class Stage
      SHOWN_RANKS = 5

      attr_reader :findings, :complaint, :diagnosis

      # @param entries [Array<Job::Entry>] of this stage, in force
      # @param sheet [Circuit::Sheet]
      def initialize(entries, sheet)
        @sheet = sheet
        @complaint = last(entries, "complaint")&.data&.fetch("text")
        @notes = entries.select { |entry| entry.kind == "note" }.map { |entry| entry.data["text"] }.freeze
        @findings = entries.reduce(Findings.new) { |found, entry| fold(found, entry) }
        @chosen = last(entries, "route")
        @reported = entries.select { |entry| entry.kind == "flag" }.map { |entry| entry.data["flag"] }.freeze
        @liftings = Liftings.new(entries)
        @intake = Intake.new(entries.select { |entry| entry.kind == "intake" }.to_h { |entry| entry.data.values_at("question", "value") }, sheet)
        @wait = last(entries, "wait")
        @diagnosis = Diagnosis.new(@findings, facts)
        @proposal = @diagnosis.proposal
        @flags = raised_flags.freeze
        freeze
      end

      # @return [Hash, nil] the route in force: the mechanic's, unless a flag says stop
      def route
        return Knowledge.find("routes", "refer") if flag_up
        @chosen && Knowledge.find("routes", @chosen.data["route"])
      end

      # The only brake, or somebody's first job of the kind: a second person checks before release (practice 12.3).
      def second_person?
        @intake.value("sole_brake") == "yes" || @intake.value("at_ease") == "no"
      end

      # @return [String, nil] unusual screw heads, as the intake has them
      def fasteners
        @intake.value("special_fastener")
      end

      # A switch sits on the cylinder, or nobody has said that none does.
      def switch?
        @intake.value("brake_switch") != "none"
      end

      # @return [Hash, nil] label and until of the wait in force
      def wait
        @wait && Wait.of(@wait.data, @wait.at)
      end

      # A job that opens a joint: the circuit is filled anew and bled from the master outwards.
      def opened?
        !route.nil? && route["opens"]
      end

      # What sends the machine elsewhere, whatever route was picked; or a referral that was picked.
      # @return [String, nil]
      def stop
        return "#{flag_up[:label]}. #{flag_up[:does]}" if flag_up
        "Referred by the mechanic." if route&.fetch("stops")
      end

      # @return [Array<Hash>] id, label, does, lifts, liftable, and who lifted it and why, of everything that stops the job
      attr_reader :flags

      def done?
        !route.nil? && stop.nil?
      end

      def waits_for
        return stop if stop
        return if route
        return "a route: #{route_name(@proposal[:route])} is proposed" if @proposal
        "a finding: #{next_tests.first&.finding&.fetch("label")&.downcase || "none is left, pick a route"}"
      end

      def unresolved
        stop
      end

      # @return [Array<Hash>] findings that can be asked on this circuit
      def askable
        side = @sheet.clutch? ? "c" : "b"
        Knowledge.table("findings").select { |finding| ["a", side].include?(finding["for"]) && relevant?(finding) }
      end

      # Refuses a value the finding does not have, taking back what was not found, lifting a flag that is not up, and a route
      # other than a referral while a flag is up.
      def admit(entry)
        case entry.kind
        when "intake" then admit_intake(entry.data)
        when "wait" then Wait.of(entry.data, entry.at)
        when "finding" then admit_finding(entry.data)
        when "finding_cleared" then admit_clearing(entry.data)
        when "lifted" then admit_lifting(entry.data)
        when "route" then admit_route(entry.data)
        end
      end

      def to_h
        {complaint: complaint, notes: @notes, plan: plan, intake: @intake.to_h, wait: wait, findings: findings.to_h, askable: askable.map { |finding| finding["id"] },
         ranks: @diagnosis.ranks.first(SHOWN_RANKS).map { |rank| rank_view(rank) }, next_tests: next_tests.map { |offer| offer_view(offer) },
         proposal: @proposal && proposal_view, route: route&.fetch("id"), reason: reason, against_proposal: against_proposal,
         flags: flags, opened: opened?}.compact
      end

      private

      def last(entries, kind)
        entries.reverse.find { |entry| entry.kind == kind }
      end

      def fold(found, entry)
        case entry.kind
        when "finding" then found.with(*entry.data.values_at("finding", "value"))
        when "finding_cleared" then found.without(*entry.data.values_at("finding", "value"))
        else found
        end
      end

      def facts
        {"side" => @sheet.clutch? ? "clutch" : "brake", "abs" => "none"}.merge(@intake.facts)
      end

      def relevant?(finding)
        finding["id"] != "abs_state" || facts["abs"] != "none"
      end

      def flag_up
        flags.find { |flag| !flag.key?(:lead) }
      end

      def raised_flags
        raised = RedFlag.up(findings, facts, @reported).map { |flag| flag_view(flag, flag["label"], true) }
        gate = abs_gate
        gate ? raised + [flag_view(gate, gate["says"].delete_suffix("."), gate["decision"] == "block")] : raised
      end

      def flag_view(row, label, liftable)
        lifting = @liftings.of(row)
        {id: row["id"], label: label, does: row["does"], lifts: row["lifts"], liftable: liftable, lead: lifting&.fetch("lead"),
         reason: lifting&.fetch("reason")}.compact
      end

      # The row of the ABS gate that holds up the route that was chosen, or nil.
      def abs_gate
        return unless @chosen
        work = Knowledge.find("route_work", @chosen.data["route"])
        row = AbsGate.decide(findings, facts, work["opens"]) unless work["id"] == "refer"
        row unless row.nil? || row["decision"] == AbsGate::PASSES
      end

      def next_tests
        NextTest.new(@diagnosis, askable).best
      end

      def route_name(id)
        Knowledge.find("routes", id)["label"].downcase
      end

      def cause_name(code)
        Knowledge.find("causes", code)["label"]
      end

      # @return [Hash, nil] stages of the whole job by the route in force, and why
      def plan
        work = route && Knowledge.find("route_work", route["id"])
        work && {stages: work["plan"], why: work["why"]}
      end

      def rank_view(rank)
        {cause: rank.cause["id"], label: rank.cause["label"], share: rank.share, proof: rank.proof, if_stays: rank.cause["if_stays"],
         also: rank.cause["also"], evidence: rank.evidence.sort_by { |each| [-each[:steps], each[:finding]] }}.compact
      end

      def offer_view(offer)
        answers = offer.answers.map { |value, lead| {value: value, cause: cause_name(lead[:cause]), share: lead[:share]} }
        {finding: offer.finding["id"], gain_bits: offer.gain_bits, minutes: offer.finding["minutes"], opens: offer.finding["opens"] || false, answers: answers}
      end

      def proposal_view
        {route: @proposal[:route], reason: proposal_reason, share: @proposal[:share], causes: @proposal[:causes], proven: @proposal.key?(:proof)}
      end

      def proposal_reason
        names = @proposal[:causes].map { |code| cause_name(code).downcase }.join(", or ")
        return "Proven: #{names}. #{@proposal[:proof]}".strip if @proposal.key?(:proof)
        "Likely #{names} (#{(@proposal[:share] * 100).round} %)."
      end

      def reason
        return proposal_reason if route && @proposal && @proposal[:route] == route["id"]
        @chosen&.data&.fetch("reason", nil)
      end

      def against_proposal
        return unless route && @proposal && @proposal[:route] != route["id"] && !stop
        "The findings point to #{route_name(@proposal[:route])}. #{proposal_reason}"
      end

      def admit_finding(data)
        finding = Knowledge.find("findings", data["finding"])
        unless askable.include?(finding)
          raise Refusal.at("data/finding", "#{finding["label"]} is not asked on this circuit", askable.map { |each| each["id"] }.join(", "))
        end
        return if finding["values"].key?(data["value"])
        raise Refusal.at("data/value", "#{finding["label"]} cannot be “#{data["value"]}”", finding["values"].keys.join(", "))
      end

      def admit_intake(data)
        row = Knowledge.find("intake", data["question"])
        raise Refusal.at("data/question", "that is not asked on this circuit", @intake.questions.map { |each| each["id"] }.join(", ")) unless @intake.questions.include?(row)
        return if row["values"].key?(data["value"])
        raise Refusal.at("data/value", "“#{data["value"]}” is no answer to “#{row["ask"]}”", row["values"].keys.join(", "))
      end

      def admit_clearing(data)
        found = findings.values(data["finding"])
        return if data["value"] ? found.include?(data["value"]) : found.any?
        raise Refusal.at("data/finding", "#{data["finding"]} was not found", findings.to_h.keys.join(", "))
      end

      def admit_lifting(data)
        up = flags.reject { |flag| flag.key?(:lead) || !flag[:liftable] }.map { |flag| flag[:id] }
        return if up.include?(data["flag"])
        raise Refusal.at("data/flag", "#{data["flag"]} is not up, or no lead may lift it", up.empty? ? "none can be lifted" : up.join(", "))
      end

      def admit_route(data)
        return unless flag_up && !Knowledge.find("routes", data["route"])["stops"]
        raise Refusal.at("data/route", "do not use: #{stop}", "refer, a corrected finding, or the flag lifted by a lead")
      end
    end
  end
end
