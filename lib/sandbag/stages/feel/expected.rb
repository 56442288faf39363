# frozen_string_literal: true

module Sandbag
  module Feel
    # What is normal at this lever after what was done to it (docs/trade.md 8.2), so that nobody chases air that is not
    # there.
    class Expected
      WHEN = %w[pads_out on_block rubber_hose larger_bore smaller_bore new_slave new_pads].freeze
      # Volumes of a stroke within this share are the same cylinder and lever.
      SAME = 0.01

      # @param job [Job::State]; before [Hydraulics::Circuit] as the machine's record has it, now [Hydraulics::Circuit]
      #   with what the job chose
      def initialize(job, before, now)
        @job = job
        @before = before
        @now = now
        freeze
      end

      # @return [Array<Hash>] label and says of each that applies
      def to_a
        Tables.rows("expected_feel").select { |row| send(:"#{row["when"]}?") }.map do |row|
          {label: row["label"], says: row["says"].gsub(/\{(\w+)\}/) { percent($1) }}
        end
      end

      private

      def route
        @job.route
      end

      def moves?(what)
        !route.nil? && route.moves.include?(what)
      end

      def pads_out?
        !@now.clutch? && (moves?("far_end") || moves?("friction"))
      end

      def new_pads?
        !@now.clutch? && moves?("friction")
      end

      def on_block?
        @job.feel.tests.all.any? { |test| test.id == "block_squeeze" && test.good? }
      end

      def rubber_hose?
        moves?("hose") && @job.sheet.parts_of("line").any? { |part| @job.sheet.values(part)["kind"].value == "rubber" }
      end

      def larger_bore?
        travel_share < 1 - SAME
      end

      def smaller_bore?
        travel_share > 1 + SAME
      end

      def new_slave?
        @now.clutch? && !route.nil? && route.far_end? && !route.apart?
      end

      # Travel that a millilitre takes, and pull that a pressure takes, against what they took.
      def travel_share
        @now.travel_of_volume_mm(1.0) / @before.travel_of_volume_mm(1.0)
      end

      def force_share
        pressure = Circuit::Reference.pressure_mpa(@job.sheet, @now)
        @now.finger_force_n(pressure) / @before.finger_force_n(pressure)
      end

      def percent(what)
        "#{(100 * ((what == "travel") ? travel_share : force_share)).round} %"
      end
    end
  end
end
