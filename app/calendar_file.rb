# frozen_string_literal: true

require "icalendar"

module App
  # What falls due and what is waited for, as an iCalendar file: days as days, waits as moments in UTC. The same thing
  # keeps its UID, so that a calendar that subscribes moves it instead of doubling it.
  class CalendarFile
    DOMAIN = "sandbag.invalid"

    # @param shop_name [String]; dues [Array<Hash>] of DueLine, waits [Array<Hash>] headlines of jobs that
    #   wait: both by string keys
    # @param now [Time] stamped on every event
    def initialize(shop_name, dues, waits, now)
      @shop_name = shop_name
      @dues = dues
      @waits = waits
      @now = now.utc
    end

    # @return [String]
    def text
      calendar = Icalendar::Calendar.new
      calendar.prodid = "-//Sandbag//Sandbag//EN"
      calendar.append_custom_property("X-WR-CALNAME", @shop_name.empty? ? "Sandbag" : seen(@shop_name))
      @dues.each { |due| calendar.add_event(day_of(due)) }
      @waits.each { |job| calendar.add_event(wait_of(job)) }
      calendar.to_ical
    end

    private

    def day_of(due)
      day = Date.iso8601(due["on"])
      where = due["machine"] && "#{due["machine"]["name"]}, #{due["circuit"]["name"]}"
      event("due/#{due["id"]}", [where, due["label"]].compact.join(": "), due["why"]) do |event|
        event.dtstart = Icalendar::Values::Date.new(day)
        event.dtend = Icalendar::Values::Date.new(day + 1)
      end
    end

    def wait_of(job)
      moment = Time.iso8601(job["wait"]["until"]).utc
      event("wait/#{job["id"]}", "#{job["machine"]["name"]}, #{job["circuit"]["name"]}: #{job["wait"]["label"]}",
        nil) do |event|
        event.dtstart = Icalendar::Values::DateTime.new(moment, "tzid" => "UTC")
        event.dtend = Icalendar::Values::DateTime.new(moment, "tzid" => "UTC")
      end
    end

    # Names that were stored before they were looked at may hold signs that cannot be seen.
    def seen(text)
      text.gsub(/[[:cntrl:]]+/, " ")
    end

    def event(name, summary, description)
      Icalendar::Event.new.tap do |event|
        event.uid = "#{name}@#{DOMAIN}"
        event.dtstamp = Icalendar::Values::DateTime.new(@now, "tzid" => "UTC")
        event.summary = seen(summary)
        event.description = seen(description) if description
        yield event
      end
    end
  end
end
