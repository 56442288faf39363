# frozen_string_literal: true

module Sandbag
  module Feel
    # Lever readings, hold test and, on a clutch, lift. Only what was taken after the last stroke counts; what was taken
    # before the first is the comparison.
    class Stage
      MEASURED = %w[reading lift hold].freeze

      # @param bleed [Bleed::Stage]
      def initialize(entries, sheet, bleed)
        @sheet = sheet
        @circuit = Circuit::Assembly.build(sheet)
        @bleed = bleed
        @entries = entries
        @fresh = entries.select { |entry| entry.position.to_i > bleed.last_disturbed.to_i }
        @report = LeverReport.new(@sheet, @circuit, readings_of(@fresh))
        freeze
      end

      # @return [LeverReport] of the readings that count now
      attr_reader :report

      # @return [LeverReport] of the readings taken before the first stroke
      def before
        return LeverReport.new(@sheet, @circuit, []) unless @bleed.first_disturbed
        LeverReport.new(@sheet, @circuit, readings_of(@entries.select { |entry| entry.position < @bleed.first_disturbed }))
      end

      # @return [ClutchLiftCheck, nil]
      def lift
        entry = @fresh.reverse.find { |each| each.kind == "lift" }
        entry && ClutchLiftCheck.new(@circuit, entry.data["lift"])
      end

      # @return [String, nil] pass, marginal, bleed_again, cant_tell; nil while there is nothing to judge
      def verdict
        lift ? lift.id : (report.verdict&.id unless @circuit.clutch?)
      end

      # Passed, or marginal and accepted with a reason after the last reading.
      def passed?
        verdict == "pass" || (verdict == "marginal" && !accepted.nil?)
      end

      def held?
        !hold.nil? && hold[:pass]
      end

      def done?
        passed? && held?
      end

      def waits_for
        return if done?
        return "a measured lift at the slave" if @circuit.clutch? && verdict.nil?
        return "lever readings: #{report.wanted}" if verdict.nil?
        return "a better lever: #{verdict.tr("_", " ")}" unless passed?
        hold ? "a lever that holds" : "the hold test"
      end

      def unresolved
        return "Readings were taken before the last strokes: read again." if stale?
        return "Lever verdict: #{verdict.tr("_", " ").sub("cant", "can't")}." if verdict && !passed?
        hold[:why] if hold && !held?
      end

      # Refuses to set aside what is no reading, and to accept a verdict that is not marginal.
      def admit(entry)
        case entry.kind
        when "set_aside"
          known = @entries.any? { |each| each.kind == "reading" && each.id == entry.data["entry"] }
          raise Refusal.at("data/entry", "there is no such reading", "the id of a reading of this job") unless known
        when "accepted"
          raise Refusal.at("kind", "only a marginal lever is accepted with a reason", "a marginal verdict") unless verdict == "marginal"
        when "lift"
          raise Refusal.at("kind", "a brake has no lift", "force and travel readings") unless @circuit.clutch?
        end
      end

      def to_h
        {**report.to_h, verdict_id: verdict, clutch: @circuit.clutch?, lift: lift&.to_h, hold: hold, passed: passed?, accepted: accepted,
         stale: stale?, before: before.verdict&.to_h, recent: @entries.last(Bleed::Stage::RECENT).map { |entry| {id: entry.id, kind: entry.kind} }}.compact
      end

      private

      def readings_of(entries)
        aside = entries.select { |entry| entry.kind == "set_aside" }.map { |entry| entry.data["entry"] }
        entries.select { |entry| entry.kind == "reading" }.map do |entry|
          [Reading.new(id: entry.id, force_n: entry.data["force"], travel_mm: entry.data["travel"]), aside.include?(entry.id)]
        end
      end

      def hold
        entry = @fresh.reverse.find { |each| each.kind == "hold" }
        entry && HoldCheck.of(entry.data["creep"])
      end

      def accepted
        entry = @fresh.reverse.find { |each| each.kind == "accepted" }
        last_reading = @fresh.reverse.find { |each| %w[reading set_aside lift].include?(each.kind) }
        entry.data["reason"] if entry && last_reading && entry.position > last_reading.position
      end

      # Measured between the first stroke and the last, and not since.
      def stale?
        measured = @entries.select { |entry| MEASURED.include?(entry.kind) && entry.position > @bleed.first_disturbed.to_i }
        measured.any? && measured.none? { |entry| @fresh.include?(entry) }
      end
    end
  end
end
