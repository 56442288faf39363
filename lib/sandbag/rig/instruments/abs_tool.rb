# frozen_string_literal: true

module Sandbag
  module Rig
    # A stand-in for the machine's own electronic tool: it cycles pump and valves of a simulated unit and reports.
    module AbsTool
      NAME = "ABS service tool"
      # Seconds that pump and valves are run, and how far that differs from unit to unit.
      PUMP_S = 20
      SPREAD_S = 5

      # @param seed [String] the same unit reports the same
      # @return [Hash] lamp, report, instrument, simulated
      def self.report(seed)
        random = Rig.random("abs tool/#{seed}")
        seconds = PUMP_S + random.rand(-SPREAD_S..SPREAD_S)
        {
          lamp: "off",
          report: "Pump run #{seconds} s, inlet and outlet valves of 2 circuits cycled 10 times each, no fault stored.",
          instrument: NAME,
          simulated: true
        }
      end
    end
  end
end
