# frozen_string_literal: true

module Sandbag
  module Fit
    # One fastener of the torque list: what it is tightened to, what was read, and what that means.
    class TorqueLine
      extend Attributes

      # id: of the fastener, with the joint or point it is at; range: [TorqueRange, nil]; row: [Hash, nil] of
      # torques.yml; asks: [String, nil] what has to be known first; reading, estimate, snug: [Job::Entry, nil];
      # wrench: [Hash, nil] scale and name of the wrench it was read with
      # place: [Circuit::Place, nil] where it is
      attributes :id, :fastener, :label, :range, :row, :asks, :reading, :estimate, :snug, :wrench, :place

      def initialize(id:, fastener:, label:, range:, row:, asks: nil, reading: nil, estimate: nil, snug: nil,
        wrench: nil, place: nil)
        @id = id
        @fastener = fastener
        @label = label
        @range = range
        @row = row
        @asks = asks
        @reading = reading
        @estimate = estimate
        @snug = snug
        @wrench = wrench
        @place = place
        freeze
      end

      def when
        fastener["when"]
      end

      # @return [String, nil] under, in or over
      def verdict
        range.judge(value_nm) if reading && range
      end

      # @return [Float] N·m at the fastener: what the wrench read, and what a crow's foot on it adds
      def value_nm
        reading.data["value"] * Fastening::CrowsFoot.factor(wrench)
      end

      # @param wrench [Hash] scale, arm and foot of one
      # @return [String, nil] why it cannot be used for this
      def unfit_with(wrench)
        range.unfit(wrench["scale"] * Fastening::CrowsFoot.factor(wrench))
      end

      # @param wrench [Hash, nil] in hand
      # @return [Float, nil] N·m to set where a crow's foot on it changes the figure
      def set_nm(wrench)
        factor = Fastening::CrowsFoot.factor(wrench)
        range.aim / factor if range && factor != 1
      end

      # The fallback turns of the trade, where they are allowed.
      def turns
        row && row["turns"]
      end

      def estimated?
        reading.nil? && !estimate.nil?
      end

      # How a screw this small is tightened by hand, where no wrench reads so little.
      def by_driver
        row && row["snug"]
      end

      # Tightened by a short driver, and not read since.
      def snugged?
        reading.nil? && !snug.nil?
      end

      def done?
        (verdict == "in" && suits?) || estimated? || snugged?
      end

      # @return [String, nil] what is still to do, or what is wrong
      def due
        return if done?
        name = Wording.inside(label)
        return "#{name}: #{ASKED.fetch(asks)}" if asks
        return "#{name}: the service figure; there is no default" unless range
        return "#{name}: its torque" unless reading
        return ["#{name}: with which wrench?", unfit].compact.join(" ") if verdict == "in"
        "#{name}: #{read} is #{verdict} the range#{". #{row["over"]}" if verdict == "over"}"
      end
      ASKED = {
        "bar" => "is the bar metal or carbon?",
        "bolt_material" => "is the bolt steel or alloy? A magnet tells",
        "nipple_thread" => "the nipple's thread",
        "bleed_screw" => "a nipple, or a port screw with an O-ring?",
        "mount_thread" => "the bolts' thread"
      }.freeze

      # The wrench at hand when it was read can read that figure.
      def suits?
        !wrench.nil? && unfit.nil?
      end

      def unfit
        wrench && unfit_with(wrench)
      end

      def read
        Said.figure(value_nm, :torque, "g")
      end
    end
  end
end
