# frozen_string_literal: true

module Sandbag
  module Close
    # What the machine did since fluid last moved, session by session: how long, how hot the caliper was, and whether
    # the control still feels as before (docs/trade.md 14.2). Kept where it is driven on a track or used hard.
    class Sessions
      # From here to the boiling point it is hot, °C. [default]
      HOT_C = 30.0
      SOFTER = "softer"
      FELT = {"same" => "as before", SOFTER => "softer or longer"}.freeze

      # @param job [Job::State]; entries [Job::Entries] of Close since fluid last moved
      def initialize(job, entries)
        @job = job
        @sessions = entries.of("session").map(&:data)
      end

      # @return [Boolean] this machine's sessions are kept
      def kept?
        !@job.sheet.clutch? && (@job.sheet.kind.has?("track") || @job.hard_use?)
      end

      def any?
        @sessions.any?
      end

      # @return [Float, nil] °C at the caliper, the highest of all sessions
      def hottest_c
        @sessions.filter_map { |session| session["celsius"] }.max
      end

      # @return [Float, nil] °C at which the fluid in it may boil: as fresh where this job bled it; else with as much
      #   water as its age allows, or as humid as in the standard's test where its age is unknown; nil where its class
      #   has no figure
      def boils_c
        @boils_c ||= refilled? ? boils_fresh : boils_by_age
      end

      # @return [String, nil] why the machine may not go
      def fault
        return boiled if hottest_c && boils_c && hottest_c >= boils_c
        return unless @sessions.last&.fetch("felt") == SOFTER
        "the #{noun} went softer or longer: bleed it, and look for what let air in"
      end

      # @return [String, nil] a warning of heat that does not hold the release
      def hot
        return unless hottest_c && boils_c && (boils_c - HOT_C...boils_c).cover?(hottest_c)
        "#{celsius(hottest_c)} at the caliper is close to the #{celsius(boils_c)} at which this fluid may boil: " \
          "renew it soon, and look at cooling and dragging pads."
      end

      # @return [Hash] items, minutes, hottest_c, boils_c, fault, hot, noun
      def to_h
        {
          noun: noun,
          items: @sessions.map { |session| item(session) },
          minutes: @sessions.sum { |session| session["minutes"] || 0 },
          hottest_c: hottest_c,
          boils_c: boils_c,
          fault: fault,
          hot: hot
        }.compact
      end

      private

      def boiled
        "#{celsius(hottest_c)} at the caliper, and this fluid may boil at #{celsius(boils_c)}: a full change of fluid"
      end

      def refilled?
        @job.stages["bleed"]&.done? && !@job.choose.fluid.nil?
      end

      def boils_fresh
        Tables.find("fluids", @job.choose.fluid)["dry_c"]
      end

      def boils_by_age
        fluid = Tables.find("fluids", @job.sheet.value("fluid", "stamped"))
        fluid && (@job.choose.fluid_in(@job.journal.newest_day).boils_low_c || fluid["wet_c"])
      end

      def noun
        @job.sheet.kind.control["noun"]
      end

      def celsius(value)
        "#{value.round} °C"
      end

      def item(session)
        {minutes: session["minutes"], celsius: session["celsius"], felt: session["felt"],
         says: said(session)}.compact
      end

      def said(session)
        minutes, heat = session.values_at("minutes", "celsius")
        [
          ("#{Wording.figures(minutes)} min" if minutes),
          ("#{celsius(heat)} at the caliper" if heat),
          "the #{noun} #{FELT.fetch(session["felt"])}"
        ].compact.join(", ")
      end
    end
  end
end
