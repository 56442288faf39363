# frozen_string_literal: true

module Sandbag
  module Ask
    # What is wrong and which repair: intake, findings, causes ranked from them, stops, and the route.
    class Stage < Job::Stage
      def initialize(job)
        super
        @sheet = job.fitted
        @findings = entries.reduce(Findings.new) { |found, entry| fold(found, entry) }
        @intake = Intake.new(entries.of("intake").to_h { |entry| entry.data.values_at("question", "value") }, @sheet, job.machine_kind)
        @chosen = entries.said("route")
        @diagnosis = Diagnosis.new(@findings, facts)
        @flags = Flags.new(@findings, facts, reported: entries.values("flag", "flag"), liftings: Liftings.new(entries),
          route: @chosen && Job::Route.find(@chosen["route"]))
      end

      attr_reader :findings, :diagnosis, :intake, :flags

      def complaint
        entries.said("complaint")&.fetch("text")
      end

      def notes
        entries.values("note", "text")
      end

      # @return [Job::Route, nil] the route in force: the mechanic's, unless a flag says stop
      def route
        return Job::Route.referral if flags.up
        @chosen && Job::Route.find(@chosen["route"])
      end

      # @return [Hash, nil] route, causes, share, and proof when it is proven
      def proposal
        @proposal ||= [diagnosis.proposal]
        @proposal.first
      end

      # @return [String, nil] why the route in force: the findings' reason, or the mechanic's own
      def reason
        return proposal_reason if route && proposal && proposal[:route] == route.id
        @chosen && @chosen["reason"]
      end

      # @return [String, nil] what the findings would rather have
      def against_proposal
        return unless route && proposal && proposal[:route] != route.id && !stop
        "The findings point to: #{Wording.inside(Job::Route.find(proposal[:route]).label)}. #{proposal_reason}"
      end

      def proposal_reason
        names = proposal[:causes].map { |code| Wording.inside(Knowledge.find("causes", code)["label"]) }.join(", or ")
        return "Proven: #{names}. #{proposal[:proof]}".strip if proposal.key?(:proof)
        "Likely #{names} (#{(proposal[:share] * 100).round} %)."
      end

      # The only brake, or somebody's first job of the kind: a second person checks before release.
      def second_person?
        intake.value("sole_brake") == "yes" || intake.value("at_ease") == "no"
      end

      # @return [String, nil] unusual screw heads, as the intake has them
      def fasteners
        intake.value("special_fastener")
      end

      # A switch sits on the cylinder, or nobody has said that none does.
      def switch?
        intake.value("brake_switch") != "none"
      end

      # @return [Hash, nil] label and until of the wait in force
      def wait
        entry = entries.last("wait")
        entry && Wait.of(entry.data, entry.at)
      end

      # A job that opens a joint: the circuit is filled anew and bled from the master outwards.
      def opened?
        !route.nil? && route.opens?
      end

      # What sends the machine elsewhere, whatever route was picked; or a referral that was picked.
      # @return [String, nil]
      def stop
        return flags.up.says if flags.up
        "Referred by the mechanic." if route&.stops?
      end

      def done?
        !route.nil? && stop.nil?
      end

      def waits_for
        return stop if stop
        return if route
        return "a route: #{Wording.inside(Job::Route.find(proposal[:route]).label)} is proposed" if proposal
        (askable.all? { |finding| findings.known?(finding["id"]) }) ? "a route" : "a finding, or a route"
      end

      def unresolved
        stop
      end

      # @return [Array<Hash>] findings that can be asked on this circuit
      def askable
        side = @sheet.clutch? ? "c" : "b"
        Knowledge.table("findings").select { |finding| ["a", side].include?(finding["for"]) && relevant?(finding) }
      end

      # @return [Array<NextTest::Offer>] what to look for next, best first
      def next_tests
        NextTest.new(diagnosis, askable).best
      end

      # ABS is fitted, or nobody has said that it is not.
      def abs?
        facts["abs"] != "none"
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

      private

      def fold(found, entry)
        case entry.kind
        when "finding" then found.with(*entry.data.values_at("finding", "value"))
        when "finding_cleared" then found.without(*entry.data.values_at("finding", "value"))
        else found
        end
      end

      def facts
        {"side" => @sheet.clutch? ? "clutch" : "brake", "abs" => "none"}.merge(intake.facts)
      end

      def relevant?(finding)
        finding["id"] != "abs_state" || abs?
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
        unless intake.questions.include?(row)
          raise Refusal.at("data/question", "that is not asked on this circuit", intake.questions.map { |each| each["id"] }.join(", "))
        end
        return if row["values"].key?(data["value"])
        raise Refusal.at("data/value", "“#{data["value"]}” is no answer to “#{row["ask"]}”", row["values"].keys.join(", "))
      end

      def admit_clearing(data)
        found = findings.values(data["finding"])
        return if data["value"] ? found.include?(data["value"]) : found.any?
        raise Refusal.at("data/finding", "#{data["finding"]} was not found", findings.to_h.keys.join(", "))
      end

      def admit_lifting(data)
        up = flags.liftable
        return if up.include?(data["flag"])
        raise Refusal.at("data/flag", "#{data["flag"]} is not up, or no lead may lift it", up.empty? ? "none can be lifted" : up.join(", "))
      end

      def admit_route(data)
        return unless flags.up && !Job::Route.find(data["route"]).stops?
        raise Refusal.at("data/route", "do not use: #{stop}", "refer, a corrected finding, or the flag lifted by a lead")
      end
    end
  end
end
