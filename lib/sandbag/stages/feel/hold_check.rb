# frozen_string_literal: true

module Sandbag
  module Feel
    # Static hold: steady pull for 60 s (docs/trade.md 8.1, docs/physics.md 7).
    module HoldCheck
      CREEP_LIMIT_MM = Tables::Figures.value("creep").to_f
      # How long it is held.
      SECONDS = Tables::Figures.value("hold_time")
      # When travel is read where it is read as time goes, s; beyond the minute where that does not tell. [default]
      TIMES_S = [0, 10, 20, 30, 40, 50, SECONDS, 90, 120].freeze

      # @param control [Hash] row of controls.yml
      # @return [Hash] creep_mm, limit_mm, pass, why
      def self.of(creep_mm, control)
        pass = creep_mm <= CREEP_LIMIT_MM
        why =
          if pass
            "The #{control["noun"]} holds."
          else
            "The #{control["noun"]} creeps: a seal lets fluid past, or something leaks. No release."
          end
        {creep_mm: creep_mm, limit_mm: CREEP_LIMIT_MM, pass: pass, why: why}
      end

      # What the leak watch says of a lever that creeps.
      POINTS_TO = {
        nil => "Leak watch next: tissue at every joint under the same pull tells a joint or hose from the cup.",
        "wet" => "The leak watch was wet: that joint or hose. Remake it, then bleed.",
        "dry" => "The leak watch was dry: the master's cup. Plug its outlet and pull again to be sure."
      }.freeze

      # @param leak [String, nil] answer of the leak watch, wet or dry
      # @return [String] which part a creep points to, and the test that would tell
      def self.points_to(leak)
        POINTS_TO.fetch(leak)
      end

      # The lever sank. What cannot be told yet is read on, and did not sink.
      # @param entry [Job::Entry] hold or hold_series
      def self.sunk?(entry)
        return entry.data["creep"] > CREEP_LIMIT_MM if entry.kind == "hold"
        HoldSeries.of(entry).id == "sinks"
      end

      # @param series [HoldSeries]; circuit [Hydraulics::Circuit]; control [Hash]
      # @return [Hash] the same, with rate, its interval, the leak, and what settled
      def self.of_series(series, circuit, control)
        low, high = series.interval_mm_s
        {
          creep_mm: series.creep_mm,
          limit_mm: CREEP_LIMIT_MM,
          pass: series.id == "holds",
          why: said(series, circuit, control),
          series: series.id,
          rate_mm_s: series.rate_mm_s,
          rate_low_mm_s: low,
          rate_high_mm_s: high,
          settled_mm: series.settled_mm,
          leak_ml_min: series.leak_ml_min(circuit)
        }
      end

      def self.said(series, circuit, control)
        rate = format("%.3f", series.rate_mm_s)
        low, high = series.interval_mm_s.map { |each| format("%.3f", each) }
        figures = "#{rate} mm/s (#{low} to #{high})"
        case series.id
        when "holds"
          "The #{control["noun"]} holds: it settles #{Said.mm(series.settled_mm)} and then sinks #{figures}, under " \
            "#{HoldSeries::LIMIT_MM_S}."
        when "sinks"
          "The #{control["noun"]} sinks #{figures}: #{Said.ml(series.leak_ml_min(circuit), 2)} a minute go past a " \
            "seal or out. No release."
        else
          "Too few readings, or too rough, to tell settling from sinking: #{figures}. Read on to 120 s."
        end
      end
      private_class_method :said
    end
  end
end
