# frozen_string_literal: true

module App
  # A lever gauge held to a simulated circuit, and what Feel makes of what it reads.
  class PracticeReading
    # @param lesson [Sandbag::Rig::Lesson]; rig [Sandbag::Rig::Simulation]; seed [String]
    # Refuses a clutch, whose lever has no pads to meet.
    def initialize(lesson, rig, seed)
      @rig = rig
      @sheet = lesson.sheet
      if @sheet.clutch?
        raise Sandbag::Refusal.at("", "a clutch lever has no pads to meet: its air is not read this way", "a brake")
      end
      @circuit = Sandbag::Circuit::Assembly.build(@sheet)
      @seed = seed
    end

    # @return [Hash] instrument, simulated, control, report
    def to_h
      {
        instrument: Sandbag::Rig::LeverGauge::NAME,
        simulated: true,
        control: @sheet.kind.control,
        report: Sandbag::Feel::LeverReport.new(@sheet, @circuit, readings).to_h
      }
    end

    private

    def readings
      top_n = Sandbag::Rig::LeverGauge.top_n(@sheet, @circuit)
      csv = Sandbag::Rig::LeverPull.new(@rig, top_n: top_n, seed: @seed).csv
      Sandbag::Feel::GaugeCurve.new(csv).readings.each_with_index.map do |each, index|
        [Sandbag::Feel::Reading.new(id: index.to_s, **each, gauge: true), false]
      end
    end
  end
end
