# frozen_string_literal: true

module App
  # What the job card says of Bleed: method and hands, each point's count, refills, what the jar said, and what went
  # wrong on the way.
  module JobCardBleed
    # @param bleed [Hash, nil] what the stage shows
    # @return [Array<Array(String, String)>]
    def self.of(bleed)
      return [] unless bleed[:begun]
      [
        ["Bleeding method", method_of(bleed)],
        *bleed[:changes].map { |change| ["Changed", "#{change[:from]} to #{change[:to]}. #{change[:says]}"] },
        *bleed[:points].map { |point| [point[:label], point_said(point, bleed)] },
        *bleed.fetch(:samples_say, []).map { |said| ["Samples", said] },
        ["Refills", bleed[:top_ups].to_s],
        (["Syringes", syringes(bleed)] if bleed[:method][:both]),
        (["Catch jar", bleed[:jar][:says]] if bleed[:jar][:says]),
        (["Tool tight", tight(bleed[:tool][:tightness])] if bleed[:tool][:tightness]),
        (["Tool report", report(bleed[:tool][:report])] if bleed[:tool][:report]),
        *bleed[:restarts].map { |restart| ["Started over", restart[:why]] },
        *bleed[:slips].map { |slip| ["Cycle not counted", slip[:why]] },
        *bleed[:stubborn].filter_map { |rung| rung_said(rung) },
        *bleed[:checks].values.flatten.filter_map { |check| check_said(check) }
      ].compact
    end

    def self.method_of(bleed)
      hands = (bleed[:people] == 1) ? "one pair of hands" : "#{bleed[:people]} pairs of hands"
      "#{bleed[:method][:label]}, #{hands}, fluid at #{format("%g", bleed[:celsius])} °C"
    end

    def self.point_said(point, bleed)
      strokes = "#{point[:strokes]} #{(point[:strokes] == 1) ? "stroke" : "strokes"}" if point[:strokes].positive?
      clean =
        if bleed[:method][:by_ml]
          "last #{Sandbag::Said.ml(point[:clean_ml])} without a bubble"
        else
          "last #{point[:clean_strokes]} without a bubble"
        end
      [strokes, Sandbag::Said.ml(point[:passed_ml]), clean, ("not finished" unless point[:done])].compact.join(", ")
    end

    def self.syringes(bleed)
      "#{Sandbag::Said.ml(bleed[:in_ml])} in below, #{Sandbag::Said.ml(bleed[:out_ml])} out above"
    end

    def self.tight(tightness)
      first, after = tightness.values_at(:first_mpa, :after_mpa).map { |mpa| Sandbag::Said.figure(mpa, :pressure, 3) }
      "#{first}, #{after} after 15 s. #{tightness[:says]}"
    end

    def self.report(report)
      [report["report"], "lamp #{report["lamp"]}", report["instrument"] || "typed in"].join("; ")
    end

    def self.rung_said(rung)
      ["Stubborn air", "#{rung[:label]}: #{rung[:came]}"] if rung[:came]
    end

    def self.check_said(check)
      ["Looked at", "#{check[:label]}: #{check[:answers].fetch(check[:answer])}"] if check[:answer]
    end
    private_class_method :method_of, :point_said, :syringes, :tight, :report, :rung_said, :check_said
  end
end
