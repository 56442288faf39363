# frozen_string_literal: true

require "time"

module App
  # When something happened, by a device whose clock may be wrong. Up to a day is taken as it is said; beyond that the
  # server's own clock goes, and what the device said stands beside it.
  class DeviceClock
    TRUSTED_SECONDS = 86_400

    # @param now [Time] the server's
    # @param sent [String, nil] what the device's clock said when it sent this
    def initialize(now, sent = nil)
      @now = now
      @off = sent ? Time.iso8601(sent) - now : nil
    end

    # The device's clock is wrong by more than a day.
    def wrong?
      !@off.nil? && @off.abs > TRUSTED_SECONDS
    end

    # @param said [String, nil] when it happened, by the device; nil is now
    # @return [Hash] at, received_at, and said_at where the time was put right
    def stamp(said)
      received = written(@now)
      return {at: received, received_at: received} unless said
      happened = Time.iso8601(said)
      return {at: [written(happened - @off), received].min, received_at: received, said_at: said} if wrong?
      return {at: received, received_at: received, said_at: said} if happened > @now + TRUSTED_SECONDS
      {at: said, received_at: received}
    end

    # @return [String, nil] what to tell whoever holds the device
    def says
      return unless wrong?
      days = (@off.abs / TRUSTED_SECONDS).round
      "This device's clock is #{days} #{(days == 1) ? "day" : "days"} #{@off.positive? ? "ahead" : "behind"}. The " \
        "times are put right here; set the clock."
    end

    private

    def written(time)
      time.utc.iso8601(3)
    end
  end
end
