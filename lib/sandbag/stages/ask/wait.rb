# frozen_string_literal: true

require "time"

module Sandbag
  module Ask
    # A wait that cannot be hurried: what for, and until when.
    module Wait
      # @param data [Hash] wait, until; @param at [String] when it began
      # @return [Hash] label, until (ISO 8601); a day that is named means its morning
      # Refuses a time that is none, and a missing one where the wait has no length of its own.
      def self.of(data, at)
        row = Tables.find("waits", data["wait"])
        {label: row["label"], until: data["until"] ? read(data["until"], at) : ending(row, at)}
      end

      # Nothing is waited for longer, nor promised. [default]
      FAR_YEARS = 5

      # @param time [Time]; at [String] when it was entered
      def self.near?(time, at)
        (time.year - Time.iso8601(at).year).abs <= FAR_YEARS
      end

      MORNING = "T08:00:00Z"

      def self.read(text, at)
        day = Day.read(text, after: Time.iso8601(at).to_date)
        time = day ? Time.iso8601("#{day.iso8601}#{MORNING}") : Time.iso8601(text).utc
        return time.iso8601 if near?(time, at)
        raise Refusal.at("data/until", "“#{text}” is too far away", "within #{FAR_YEARS} years")
      rescue ArgumentError
        raise Refusal.at("data/until", "“#{text}” is no day", Day::ACCEPTED)
      end

      def self.ending(row, at)
        unless row["minutes"]
          raise Refusal.at(
            "data/until",
            "#{Wording.inside(row["label"])} needs a time",
            "a time such as 2026-03-14T09:26:00Z"
          )
        end
        (Time.iso8601(at) + row["minutes"] * 60).utc.iso8601
      end
      private_class_method :read, :ending
    end
  end
end
