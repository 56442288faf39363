# frozen_string_literal: true

module Sandbag
  module Ask
    # What is wrong and which repair: intake, findings, causes ranked from them, stops, and the route.
    class Stage < Job::Stage
      def initialize(job)
        super
        answers = entries.of("intake").to_h { |entry| entry.data.values_at("question", "value") }
        @intake = Intake.new(answers, job.fitted, job.machine_kind, today: today, others: job.others)
        @sheet = AnsweredSheet.of(job.fitted, @intake)
        @places = Circuit::Places.of(@sheet)
        @fluid = FluidSaid.new(job.fitted, @intake, job.journal.of("choose").said("fluid").to_h)
        @entered = entries.reduce(Findings.new) { |found, entry| fold(found, entry) }
        @findings = @intake.findings.reduce(telling) { |found, (finding, value)| found.with(finding, value) }
        @chosen = entries.said("route")
        @seen = Seen.new(job.journal)
        @diagnosis = Diagnosis.new(@findings, facts)
        @flags =
          Flags.new(
            @findings,
            facts,
            reported: reported,
            liftings: Liftings.new(job.journal, @seen),
            route: picked,
            at: where.at,
            opens: side
          )
      end

      # @attr entered [Findings] as the mechanic entered them; findings [Findings] with what answers of the intake
      #   amount to
      attr_reader :entered, :findings, :diagnosis, :intake, :flags

      # @return [Circuit::Sheet] the circuit as the record has it, with what the intake says of ABS and of its fluid
      attr_reader :sheet

      # @return [Circuit::Places] of it
      attr_reader :places

      def complaint
        entries.said("complaint")&.fetch("text")
      end

      def notes
        entries.values("note", "text")
      end

      # @return [Job::Route, nil] the route in force: the mechanic's, unless a flag says stop that this route does not
      #   cure
      def route
        return Job::Route.referral if flags.up
        picked
      end

      # @return [Hash, nil] route, causes, share, and proof when it is proven
      def proposal
        @proposal ||= [
          diagnosis.proposal.then { |found| found if found.nil? || found.key?(:proof) || must_look.empty? }
        ]
        @proposal.first
      end

      # @return [Hash{Job::Route => String}] see FollowUps: those that this circuit can have and the job is not
      def repairs
        FollowUps.new(findings).repairs.select { |repair, _| repair != route && routes.include?(repair) }
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
        names = proposal[:causes].map { |code| Wording.inside(Tables.find("causes", code)["label"]) }.join(", or ")
        return "Proven: #{names}. #{proposal[:proof]}".strip if proposal.key?(:proof)
        "Likely #{names} (#{(proposal[:share] * 100).round} %)."
      end

      # The only brake, somebody's first job of the kind, or a machine that others depend on: a second person checks
      # before release.
      def second_person?
        intake.value("sole_brake") == "yes" || intake.value("at_ease") == "no" || job.second_person_use?
      end

      # @return [Array<String>] see Minutes
      def pace
        Minutes.pace(intake, sheet)
      end

      # @return [String, nil] unusual screw heads, as the intake has them
      def fasteners
        intake.value("special_fastener")
      end

      # A switch sits on the cylinder, as the intake has it; where nobody has answered, as this kind of circuit usually
      # has one with a connector. A kart has none.
      def switch?
        said = intake.value("brake_switch")
        said.nil? ? job.sheet.kind.has?("loom") : said != "none"
      end

      # @return [Hash, nil] label and until of the wait in force
      def wait
        entry = entries.last("wait")
        entry && Wait.of(entry.data, entry.at)
      end

      # @return [String, nil] when the machine is promised, ISO 8601 in UTC
      def promised
        at = entries.said("promise")&.fetch("at")
        at && Time.iso8601(at).utc.iso8601
      end

      # @return [Where] where the repair that was picked works, whatever stops it
      def where
        @where ||= Where.new(picked, places_of(picked), named: named, found: found_places.all.values.flatten.map(&:id))
      end

      # A job that opens a joint: the circuit is filled again and bled from the master outwards.
      def opened?
        where.opened.any?
      end

      # @return [Array<Array(Hash, Job::Entry)>] findings for which the circuit was opened
      def opened_to_look
        entries.of("finding").map { |entry| [Tables.find("findings", entry.data["finding"]), entry] }
          .select { |finding, entry| finding["opens"]&.key?(entry.data["value"]) }
      end

      # @param side [String] above or below an ABS unit
      # @return [Hash, nil] row of abs_gate.yml by which nothing may be opened there
      def abs_stop(side)
        row = AbsGate.decide(findings, facts, side)
        row if row && row["decision"] == "stop"
      end

      # @return [FoundPlaces] where the findings were found, and could be
      def found_places
        @found_places ||= FoundPlaces.new(entries, places, entered)
      end

      # @return [String, nil] what the owner asked for, where the route is another one
      def against_request
        asked = intake.request
        return unless route && asked && !asked[:routes].include?(route.id)
        "Asked for: #{Wording.inside(asked[:label])}. This job: #{Wording.inside(route.label)}. Tell the owner first."
      end

      # @return [Job::Entry, nil] who put the job away as referred; nil once the machine came back
      def referral
        entry = entries.last("referred", "returned")
        entry if entry&.kind == "referred"
      end

      # @return [Array<Job::Route>] those this kind of circuit can have
      def routes
        Job::Route.all.select { |each| each.suits?(@sheet.kind) && !(each.adds && job.two_controls) }
      end

      # @return [String, nil] what keeps the machine here although the work goes on
      def do_not_use
        flags.standing.first&.label
      end

      # What sends the machine elsewhere, whatever route was picked; or a referral that was picked.
      # @return [String, nil]
      def stop
        return flags.up.says if flags.up
        "Referred by the mechanic." if route&.stops?
      end

      def done?
        !route.nil? && stop.nil? && intake.unanswered.empty? && !rounds.back_to_ask? && !where.wanted?
      end

      def waits_for
        return stop if stop
        return "an answer: #{Wording.inside(intake.unanswered.first["ask"])}" if intake.unanswered.any?
        return "a look at: #{first_look}. #{rounds.says}" if rounds.back_to_ask?
        return where.asks if route
        return "a route: #{Wording.inside(Job::Route.find(proposal[:route]).label)} is proposed" if proposal
        (askable.all? { |finding| findings.known?(finding["id"]) }) ? "a route" : "a finding, or a route"
      end

      def unresolved
        stop
      end

      # @return [Array<Hash>] the master and the far ends, of which a flag may be reported
      def parts
        [*@sheet.parts_of("master"), *@sheet.far_ends]
      end

      # @return [Array<Hash>] findings that can be asked on this circuit
      def askable
        side = @sheet.clutch? ? "c" : "b"
        Tables.rows("findings").select { |finding| ["a", side].include?(finding["for"]) && relevant?(finding) }
      end

      # @param without [Array<String>] findings that were looked for and told nothing
      # @return [Array<NextTest::Offer>] what to look for next, best first
      def next_tests(without = [])
        NextTest.new(diagnosis, askable.reject { |row| without.include?(row["id"]) }, must: must_look,
          named: ComplaintWords.findings(complaint, diagnosis.side)).best
      end

      # @return [Array<String>] findings without which no repair is recommended
      def must_look
        @must_look ||= rounds.looks | MustLook.open(findings, facts, askable)
      end

      # @return [Bleed::Rounds] whole bleeds after which the lever did not hold
      def rounds
        @rounds ||= Bleed::Rounds.new(job.journal, askable.map { |row| row["id"] })
      end

      # @return [Array<String>] what is proven to be due and does not lead: put on the job all the same
      def due
        diagnosis.ranks.select { |rank| rank.proof && !rank.leads }.map do |rank|
          "#{rank.cause["label"]}: #{Wording.inside(Job::Route.find(rank.route).label)} is due as well."
        end
      end

      private

      # What the repair opens, or what was opened to look; the worse of both.
      def side
        looked = opened_to_look.map { |finding, entry| finding["opens"][entry.data["value"]] }
        %w[unit below above nothing].find { |each| [where.side, *looked].include?(each) }
      end

      # @return [Hash{String => Array<Hash>}] flag => parts of which it was reported
      def reported
        entries.of("flag").group_by { |entry| entry.data["flag"] }.transform_values do |said|
          parts.select { |part| said.any? { |entry| entry.data["part"] == part["id"] } }
        end
      end

      def picked
        @chosen && Job::Route.find(@chosen["route"])
      end

      # An added cylinder makes a circuit of its own.
      def places_of(route)
        route&.adds ? Circuit::Places.of(Circuit::AddedHand.sheet(sheet, route.adds)) : places
      end

      # A far end was named under Choose before places had names.
      def named
        said = entries.said("at")&.fetch("places")
        far_end = job.journal.of("choose").said("far_end")&.fetch("part") unless said
        return said unless far_end
        places.of_kind("far_end").select { |place| ["all", place.at].include?(far_end) }.map(&:id)
      end

      def first_look
        Wording.inside(Tables.find("findings", rounds.looks.first)["label"])
      end

      def fold(found, entry)
        case entry.kind
        when "finding" then found.with(*entry.data.values_at("finding", "value"))
        when "finding_cleared" then found.without(*entry.data.values_at("finding", "value"))
        else found
        end
      end

      # @return [Date, nil]
      def today
        job.journal.newest_day
      end

      # Findings without those that say nothing of this fluid.
      def telling
        @fluid.dyed? ? @entered.without(*TINT) : @entered
      end
      TINT = %w[fluid_colour foreign_tint].freeze

      def facts
        @facts ||= {
          "side" => @sheet.clutch? ? "clutch" : "brake", "abs" => "none",
          **@fluid.facts, **intake.facts, **@seen.facts
        }.freeze
      end

      # Only what this circuit can answer.
      def relevant?(finding)
        return false if finding["id"] == "abs_state" && facts["abs"] == "none"
        return false unless @sheet.suits?(finding)
        finding["family"].nil? || @fluid.family.nil? || finding["family"] == @fluid.family
      end
    end
  end
end
