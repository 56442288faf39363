# frozen_string_literal: true

module App
  # What a job card says of the release: gates, leak watches, level, discs, sessions, waste, and when it is looked at
  # again.
  module JobCardClose
    # @param close [Hash, nil] view of the stage
    # @return [Array<Array(String, String)>] rows of release
    def self.gates(close)
      close[:gates].reject { |gate| gate[:step] }.map { |gate| [gate[:label], standing(gate)] }
    end

    # @return [Array<Array(String, String)>] rows of what the job did
    def self.done(close)
      close[:done].map { |line| ["Done", line] }
    end

    # @return [Array<Array(String, String)>] rows of what was done at the end
    def self.ending(close)
      watches = close.dig(:leak_watch, :watches).map do |watch|
        "#{watch[:dry] ? "dry" : "WET"} #{Sandbag::Day.moment(watch[:at])}"
      end
      [
        (["Leak watches", watches.join(", ")] if watches.any?),
        (["Batch of the fluid", close[:batch]] if close[:batch]),
        (["Level", level(close[:level])] if close.dig(:level, :below_mm)),
        *discs(close),
        *sessions(close),
        (["Fluid out", close.dig(:fluid_balance, :says)] if close[:fluid_balance]),
        *close[:gates].select { |gate|
          gate[:step]
        }.map { |step| [step[:label], step[:met] ? "done" : "not recorded"] },
        *close[:rechecks].map { |row| ["Again: #{row[:label]}", again(row)] }
      ].compact
    end

    def self.standing(gate)
      return "not touched" unless gate[:touched]
      return "WAIVED by #{gate[:waived]["lead"]}: #{gate[:waived]["reason"]}" if gate[:waived]
      return ["yes", gate[:name]].compact.join(", ") if gate[:met]
      "NO#{": #{gate[:why]}" if gate[:why]}"
    end

    def self.level(level)
      said = Sandbag::Said
      "#{said.mm(level[:below_mm])} below the upper mark; at least #{said.mm(level[:highest_below_mm])} for these pads"
    end

    def self.again(row)
      days = (row[:days] || []).map { |day| Sandbag::Day.of(day) }
      [row[:when], *days].join(", ")
    end

    def self.discs(close)
      measured = (close.dig(:discs, :items) || []).select { |disc| disc[:thickness_mm] }
      measured.map { |disc| ["Disc: #{disc[:label]}", thickness(disc)] }
    end

    def self.sessions(close)
      (close.dig(:sessions, :items) || []).each_with_index.map { |session, at| ["Session #{at + 1}", session[:says]] }
    end

    def self.thickness(disc)
      said = Sandbag::Said
      least = "; at least #{said.mm(disc[:least_mm], 2)}" if disc[:least_mm]
      "#{said.mm(disc[:thickness_mm], 2)} at its thinnest#{least}"
    end

    private_class_method :standing, :level, :again, :discs, :sessions, :thickness
  end
end
