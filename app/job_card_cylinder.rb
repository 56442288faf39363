# frozen_string_literal: true

module App
  # What a job card says of the cylinder: stripped, measured and built, as two-column rows.
  module JobCardCylinder
    def self.aside(aside)
      (aside || []).map { |each| ["Taken off to get there", each[:what]] }
    end

    def self.strip(strip)
      return [] unless strip[:pieces].positive?
      waived = strip[:setup].select { |row| row[:reason] }.map { |row| ["Waived", "#{row[:label]}: #{row[:reason]}"] }
      skipped =
        strip[:steps].select { |step| step[:reason] }.map { |step| ["Skipped", "#{step[:label]}: #{step[:reason]}"] }
      tried =
        strip[:ladder]
          .select { |rung| rung[:tried] }
          .map { |rung| ["Stuck piston", "#{rung[:label]}: #{rung[:freed] ? "it came" : "it did not come"}"] }
      [
        ["Construction", strip[:construction]],
        *aside(strip[:aside]),
        ["Out", "#{strip[:pieces]} pieces of #{strip[:tray].size} kinds"],
        *waived,
        *skipped,
        *tried
      ]
    end

    def self.measure(measure)
      unless measure[:apart]
        return measure[:comparison].filter_map do |row|
          [row[:label], [row[:value], row[:note]].compact.join(": ")] if row[:value]
        end
      end
      looks = measure[:inspection].filter_map { |look| [look[:label], look[:values][look[:value]]] if look[:value] }
      figures =
        measure[:judgements].map do |judgement|
          [judgement.values_at(:label, :unit_name).compact.join(", "),
            "#{judgement[:why]} Limit: #{Sandbag::Wording.spelled(judgement[:source])}."]
        end
      eye = measure[:by_eye] ? [["Gauges", "judged by eye: an estimate"]] : []
      [*verdicts(measure), *figures, *eye, *looks, *inner(measure[:inner])]
    end

    # New parts beside the old: what differed, and what is not the machine maker's.
    def self.inner(lines)
      (lines || []).select { |line| line[:note] }.map do |line|
        word = {"maker" => "part of another maker", "resolved" => "differed, resolved"}.fetch(line[:value], "differs")
        ["#{line[:label]}, new against old", "#{word}: #{line[:note]}"]
      end
    end

    # One, or one of each unit that was apart.
    def self.verdicts(measure)
      return [["Verdict", said(measure[:verdict])]] unless measure[:units]
      measure[:units].map { |unit| [unit[:label], unit[:whole] ? "a new one went on" : said(unit[:verdict])] }
    end

    def self.said(verdict)
      [verdict[:label], *verdict[:reasons]].join(". ").squeeze(".")
    end
    private_class_method :verdicts, :said, :inner

    def self.build(build)
      return [] unless build[:steps].any?
      lubricant = Sandbag::Tables.find("lubricants", build[:lubricant])["label"]
      checks =
        build[:checks].map do |check|
          [check[:label], {true => "passed", false => "FAILED"}.fetch(check[:pass], "not checked")]
        end
      tray = build[:zero] ? "at zero, #{build[:scrapped]} old pieces scrapped" : "NOT at zero"
      [["Lubricant", lubricant], ["Tray", tray], *checks]
    end
  end
end
