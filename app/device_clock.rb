# frozen_string_literal: true

require "time"

module App
  # When something happened. A page says it by the clock of its device, and what that clock says now: how far it is off
  # is taken out. An entry that waited offline is placed between the one before it and the time it was received, so
  # that no gate rests on a made-up time.
  class DeviceClock
    # A device's clock is wrong, and the mechanic is told, from here.
    WRONG_SECONDS = 86_400
    # Two clocks that agree, seconds.
    AGREES_SECONDS = 60

    # @param now [Time] the server's
    # @param sent [String, nil] what the device's clock said when it sent this
    def initialize(now, sent = nil)
      @now = now
      @off = sent ? Time.iso8601(sent) - now : nil
    end

    # The device's clock is wrong by more than a day.
    def wrong?
      !@off.nil? && @off.abs > WRONG_SECONDS
    end

    # @param said [String, nil] when it happened, by the device; nil is now
    # @param opened [Time] of the job; newest [Time, nil] of the entry before it
    # @return [Hash] at, received_at, and said_at where the time was put right
    # Refuses a time in the future and one before the job was opened, where the device sent no clock that explains them.
    def stamp(said, opened:, newest: nil)
      received = written(@now)
      return {at: received, received_at: received} unless said
      happened = Time.iso8601(said)
      refuse_impossible(happened, opened) unless @off
      right = (happened - off).clamp([newest, opened].compact.max.clamp(nil, @now), @now)
      return {at: said, received_at: received} if right == happened
      put_right = {at: written(right), received_at: received}
      ((right - happened).abs > AGREES_SECONDS) ? {**put_right, said_at: said} : put_right
    end

    # @return [String, nil] what to tell whoever holds the device
    def says
      return unless wrong?
      days = (@off.abs / WRONG_SECONDS).round
      "This device's clock is #{days} #{(days == 1) ? "day" : "days"} #{@off.positive? ? "ahead" : "behind"}. The " \
        "times are put right here; set the clock."
    end

    private

    # The delay of a network does not make a clock wrong.
    def off
      (@off && @off.abs > AGREES_SECONDS) ? @off : 0
    end

    def refuse_impossible(happened, opened)
      if happened > @now + AGREES_SECONDS
        raise Sandbag::Refusal.at("at", "that is in the future", "a time up to now: #{written(@now)}")
      end
      return unless happened < opened - AGREES_SECONDS
      raise Sandbag::Refusal.at("at", "that is before the job was opened", "a time from #{written(opened)} to now")
    end

    def written(time)
      time.utc.iso8601(3)
    end
  end
end
