# frozen_string_literal: true

module Sandbag
  module Measure
    # Reuse or renew: what is seen, what is gauged, and one verdict. On a job that puts a new part on: new against old.
    class Stage
      RECENT = 10

      attr_reader :inspection, :comparison, :verdict

      # @param entries [Array<Job::Entry>] of this stage, in force
      # @param choose [Choose::Stage]; strip [Strip::Stage]
      # @param route [String, nil]
      def initialize(entries, choose, strip, route)
        @entries = entries
        @strip = strip
        @cylinder = choose.cylinder
        @comparison = Comparison.new(of("compared").to_h { |entry| [entry.data["row"], entry.data] }, route)
        @inspection = Inspection.new(of("finding").to_h { |entry| entry.data.values_at("check", "value") }, strip.tray)
        @gauging = gauging
        @verdict = judge
        freeze
      end

      # The cylinder is apart; else a new part is compared with the old.
      def apart?
        !@cylinder.nil?
      end

      # A job on which there is something to look at or to compare.
      def any?
        apart? || comparison.rows.any?
      end

      # @return [Array<String>] parts that are renewed although they would be used again if they passed
      def fresh_parts
        of("renewed").map { |entry| entry.data["part"] }
      end

      def done?
        apart? ? verdict.settled? : comparison.open.empty?
      end

      def waits_for
        return if done?
        return "compare new with old: #{comparison.open.first["label"].downcase}" unless apart?
        "#{verdict.label.downcase}: #{(verdict.id == "parts") ? verdict.parts.first.tr("_", " ") : verdict.reasons.first}"
      end

      def unresolved
        verdict.reasons.first if apart? && verdict.id == "unit"
      end

      # Judged without gauges: recorded as an estimate.
      def by_eye?
        of("by_eye").any?
      end

      # Refuses what Inspection and Comparison refuse, a place no gauge is held to, a size far from the nominal, a part that is
      # not in the tray, and a call where the figures are plain.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "finding" then inspection.admit(data)
        when "compared" then comparison.admit(data)
        when "gauge" then admit_gauge(data)
        when "renewed" then admit_renewed(data)
        when "called" then admit_called
        end
      end

      def to_h
        {apart: apart?, comparison: comparison.to_h, inspection: inspection.looks.map(&:to_h), next: inspection.open.first&.row&.fetch("id"), **(apart? ? gauged : {}),
         never: Knowledge.table("never_advised").select { |row| row["at"].include?("measure") }.map { |row| row["text"] }, fresh: fresh_parts, by_eye: by_eye?,
         verdict: apart? ? verdict.to_h : nil, recent: @entries.last(RECENT).map { |entry| {id: entry.id, kind: entry.kind} }}.compact
      end

      # A reading further than this from the nominal is a slip of the gauge or of the key, mm.
      FAR_MM = 0.5

      private

      def of(kind)
        @entries.select { |entry| entry.kind == kind }
      end

      def limits
        entered = of("limits").reduce({}) { |all, entry| all.merge(entry.data) }
        WearLimits.new(@cylinder.bore_mm, entered)
      end

      def readings
        of("gauge").to_h do |entry|
          gauge = Knowledge.find("gauges", entry.data["gauge"])
          [entry.data["place"], Gauging::Reading.new(entry: entry.id, place: entry.data["place"], value_mm: entry.data["value"], gauge: gauge)]
        end
      end

      def gauging
        @cylinder && Gauging.new(readings, limits, piston: !fresh_parts.include?("piston"))
      end

      def judge
        return unless apart?
        Verdict.new(inspection, judgements, missing: missing, given_up: @strip.given_up?, called: called, fresh: fresh_parts)
      end

      # A call stands for the readings it was made on.
      def called
        @entries.reverse.take_while { |entry| entry.kind != "gauge" }.find { |entry| entry.kind == "called" }&.data
      end

      # Limits say nothing of a nominal that is not proven; a spring is judged all the same.
      def judgements
        spring = of("spring").last&.data
        (@cylinder.unproven ? [] : @gauging.judgements) + (spring ? [SpringLength.judge(*spring.values_at("free", "new"))] : [])
      end

      # @return [Array<String>] what is still to be looked at, read or said
      def missing
        looks = inspection.open.map { |look| look.value ? "#{look.row["label"]}: clean it and look again." : "#{look.row["label"]}: not looked at." }
        looks + inspection.with("flag").map { |look| "#{look.row["label"]}: #{look.row["values"][look.value]["does"]}" } + gauge_missing
      end

      def gauge_missing
        return [] if by_eye?
        return ["The nominal bore is not proven, so no limit applies: #{@cylinder.unproven}"] if @cylinder.unproven
        @gauging.missing.empty? ? [] : ["#{@gauging.missing.size} gauge readings to go, next: #{@gauging.missing.first["label"].downcase}."]
      end

      def gauged
        {limits: limits.to_h, places: @gauging.wanted.map { |row| place_view(row) }, judgements: judgements.map(&:to_h),
         taper_mm: @gauging.taper_mm, unproven: @cylinder.unproven, next_place: @gauging.missing.first&.fetch("id")}
      end

      def place_view(row)
        reading = readings[row["id"]]
        {id: row["id"], label: row["label"], part: row["part"], value_mm: reading&.value_mm, gauge: reading&.gauge&.fetch("id"), entry: reading&.entry}.compact
      end

      def admit_gauge(data)
        raise Refusal.at("data/place", "nothing is apart to be gauged", "a job that takes the cylinder apart") unless apart?
        place = Knowledge.find("gauge_places", data["place"])
        gauge = Knowledge.find("gauges", data["gauge"])
        unless gauge["judges"]
          raise Refusal.at("data/gauge", "a #{gauge["label"].downcase} only tells the nominal size; it cannot judge #{(place["part"] == "bore") ? "a bore" : "a piston"}", "bore_gauge, micrometer")
        end
        off = (data["value"] - @cylinder.bore_mm).abs
        return if off <= FAR_MM
        raise Refusal.at("data/value", "#{data["value"]} mm is #{format("%.2f", off)} mm from the nominal #{format("%g", @cylinder.bore_mm.round(3))}", "within #{FAR_MM} mm of it; a wrong nominal is put right on the machine's page")
      end

      def admit_renewed(data)
        return if @strip.work.part(data["part"])
        raise Refusal.at("data/part", "“#{data["part"]}” did not come out here", @strip.work.parts.map(&:id).join(", "))
      end

      def admit_called
        return if apart? && judgements.any? { |judgement| judgement.verdict == "too_close" }
        raise Refusal.at("data/verdict", "the figures are plain: nothing is too close to call", "a figure within the gauge's uncertainty of its limit")
      end
    end
  end
end
