# frozen_string_literal: true

module Sandbag
  module Ask
    # Whether an entry of Ask may join the journal as things stand.
    class Admission
      # @param ask [Stage] before the entry
      def initialize(ask)
        @ask = ask
        freeze
      end

      # Refuses a value the finding does not have, a look that opens the circuit before it may be opened, a place
      # where neither it nor the repair can be, taking back what was not found, lifting a flag that is not up, a danger
      # that does not say of which part, a route this circuit cannot have or that does not cure the flags that are up,
      # putting away a job that nothing stops, and bringing back one that is not away.
      def admit(entry)
        case entry.kind
        when "intake" then admit_intake(entry.data)
        when "wait" then admit_wait(entry)
        when "promise" then admit_promise(entry)
        when "finding" then admit_finding(entry.data)
        when "finding_cleared" then admit_clearing(entry.data)
        when "lifted" then admit_lifting(entry.data)
        when "flag" then admit_report(entry.data)
        when "route" then admit_route(entry.data)
        when "at" then @ask.where.admit(entry.data["places"])
        when "referred" then admit_referral(entry.data["name"])
        when "returned" then admit_return
        end
      end

      private

      def admit_wait(entry)
        Wait.of(entry.data, entry.at)
        return unless Tables.find("waits", entry.data["wait"])["past"]
        raise Refusal.at("data/wait", "nobody waits for that any more",
          Tables.rows("waits").reject { |row| row["past"] }.map { |row| row["id"] }.join(", "))
      end

      def admit_promise(entry)
        at = entry.data["at"]
        return if Wait.near?(Time.iso8601(at), entry.at)
        raise Refusal.at("data/at", "“#{at}” is too far away", "within #{Wait::FAR_YEARS} years")
      rescue ArgumentError
        raise Refusal.at("data/at", "“#{at}” is no time", "a time such as 2026-03-14T17:00:00Z")
      end

      def admit_finding(data)
        finding = Tables.find("findings", data["finding"])
        unless @ask.askable.include?(finding)
          raise Refusal.at("data/finding", "#{finding["label"]} is not asked on this circuit",
            @ask.askable.map { |each| each["id"] }.join(", "))
        end
        unless finding["values"].key?(data["value"])
          raise Refusal.at("data/value",
            "#{finding["label"]} cannot be “#{data["value"]}”", finding["values"].keys.join(", "))
        end
        refuse_opening(finding, data["value"])
        admit_place(finding, data) if data["place"]
      end

      # To look there opens the circuit: what an opening asks for is asked first.
      def refuse_opening(finding, value)
        side = finding["opens"]&.fetch(value, nil)
        return unless side
        open = @ask.intake.unanswered
        if open.any?
          raise Refusal.at("data/value",
            "not yet, this opens the circuit; first: #{open.map { |row| row["ask"] }.join(" ")}", "an answer to each")
        end
        stop = @ask.abs_stop(side)
        raise Refusal.at("data/value", "this opens the circuit: #{stop["says"]}", stop["does"]) if stop
      end

      def admit_place(finding, data)
        possible = (data["value"] == finding["ordinary"]) ? [] : @ask.found_places.possible(finding).map(&:id)
        return if possible.include?(data["place"])
        raise Refusal.at("data/place", "#{finding["label"]}: “#{data["place"]}” is no such place",
          possible.empty? ? "no place" : possible.join(", "))
      end

      def admit_intake(data)
        row = Tables.find("intake", data["question"])
        unless @ask.intake.questions.include?(row)
          raise Refusal.at("data/question", "that is not asked on this circuit",
            @ask.intake.questions.map { |each| each["id"] }.join(", "))
        end
        return if row["values"].key?(data["value"])
        raise Refusal.at("data/value",
          "“#{data["value"]}” is not one of the answers to “#{row["ask"]}”", row["values"].keys.join(", "))
      end

      def admit_clearing(data)
        found = @ask.entered.values(data["finding"])
        return if data["value"] ? found.include?(data["value"]) : found.any?
        raise Refusal.at("data/finding", "#{data["finding"]} was not found", @ask.entered.to_h.keys.join(", "))
      end

      def admit_report(data)
        row = Tables.find("red_flags", data["flag"])
        return admit_part(row, data["part"]) if row["reported"]
        reported = Tables.rows("red_flags").select { |each| each["reported"] }.map { |each| each["id"] }
        raise Refusal.at("data/flag", "“#{row["label"]}” comes up by what is found and answered", reported.join(", "))
      end

      def admit_part(row, part)
        known = row["of_part"] ? @ask.parts.map { |each| each["id"] } : []
        return if known.empty? ? part.nil? : known.include?(part)
        raise Refusal.at("data/part", "“#{row["label"]}”: #{known.empty? ? "no part is named" : "of which part?"}",
          known.empty? ? "no part" : known.join(", "))
      end

      def admit_lifting(data)
        up = @ask.flags.liftable
        return @ask.job.people.refuse("data/lead", data["lead"], "leads") if up.include?(data["flag"])
        raise Refusal.at("data/flag", "#{data["flag"]} is not up, or no lead may lift it",
          up.empty? ? "none can be lifted" : up.join(", "))
      end

      def admit_route(data)
        chosen = Job::Route.find(data["route"])
        unless @ask.routes.include?(chosen)
          raise Refusal.at("data/route", "#{chosen.label}: not on this kind of circuit",
            @ask.routes.map(&:id).join(", "))
        end
        held = @ask.flags.holding(chosen)
        return unless held
        cures =
          @ask
            .routes
            .reject { |route| route.stops? || @ask.flags.holding(route) }
            .map { |route| Wording.inside(route.label) }
        raise Refusal.at(
          "data/route",
          "do not use: #{held.says}",
          [*cures, "refer", "a corrected finding", "the flag lifted by a lead"].join(", ")
        )
      end

      def admit_referral(name)
        return @ask.job.people.refuse("data/name", name) if @ask.stop
        raise Refusal.at("kind", "nothing stops this job",
          "a referral under Recommended repair first, or a danger reported")
      end

      def admit_return
        return if @ask.referral
        raise Refusal.at("kind", "this job is not on hold", "a job that was put on hold as referred")
      end
    end
  end
end
