# frozen_string_literal: true

module Sandbag
  module Rig
    # Where every millilitre of a simulated circuit is: shut in below the cup, over the port, in the jar, leaked; and
    # the air with it. Fluid only ever goes from one place to another (docs/physics.md 3, 6).
    class Ledger
      # @attr sealed_ml [Float] fluid shut in below the master's cup; jar_ml, leaked_ml [Float]; poured_ml [Float] that
      #   came from outside; rest_ml [Float] the circuit's room at rest
      attr_reader :circuit, :master, :give, :reservoir, :air, :heat, :unit, :ends, :sealed_ml, :jar_ml, :leaked_ml,
        :poured_ml, :rest_ml
      attr_accessor :plumbing

      # @param circuit [Hydraulics::Circuit]; reservoir [Reservoir]; air [Air]; heat [Heat]; unit [AbsUnit]
      # @param plumbing [Plumbing]; faults [Faults]; ends [Array<FarEnd>]
      def initialize(circuit, plumbing, faults, reservoir:, air:, heat:, unit:, ends:)
        @circuit = circuit
        @plumbing = plumbing
        @master = Master.new(circuit, faults)
        @give = Give.new(circuit, faults)
        @reservoir = reservoir
        @air = air
        @heat = heat
        @unit = unit
        @ends = ends
        @jar_ml = @leaked_ml = @poured_ml = @covered_ml = 0.0
        @rest_ml = circuit.fluid_ml
        @sealed_ml = @rest_ml - air.ml
      end

      # @return [Ledger] the same, to go on from apart
      def copy
        dup.tap { |other| other.send(:part) }
      end

      # @return [Float] mL beyond what lies in the circuit at rest: what gap, hoses, calipers and air have to take
      def excess_ml
        master.swept_ml + sealed_ml + gas_ml - rest_ml
      end

      # @return [Float] MPa
      def pressure_mpa
        give.pressure_mpa(excess_ml, gas_ml)
      end

      # @return [Float] mL that are under pressure
      def pressed_ml
        give.pressed_ml(excess_ml)
      end

      # @return [Float] MPa by which a millilitre less changes the pressure
      def stiffness_mpa_ml(pressure)
        give.stiffness_mpa_ml(pressure, gas_ml)
      end

      # @return [Float] mL of air and steam, as they would be outside
      def gas_ml
        air.ml + heat.steam_ml
      end

      # @return [Float] mL that were used: what came into the jar since it was set down
      def used_ml
        jar_ml - @covered_ml
      end

      # @return [Float] mL of fluid, wherever it is: the same until somebody pours or pushes some in
      def fluid_ml
        sealed_ml + reservoir.ml + jar_ml + leaked_ml + reservoir.spilled_ml + unit.fluid_ml - poured_ml
      end

      # From outside into the line.
      def push_in(ml)
        @sealed_ml += ml
        @poured_ml += ml
      end

      # From outside into the reservoir.
      # @return [Boolean] more than it holds: the rest runs over
      def pour(ml)
        @poured_ml += ml
        reservoir.take(ml)
      end

      # A jar gets fluid for a tube's end to stand in, once.
      def cover_tube(ml)
        return unless @covered_ml.zero?
        @covered_ml = ml
        @jar_ml += ml
        @poured_ml += ml
      end

      def draw_off(ml)
        @jar_ml += reservoir.give(ml)
      end

      # Out of the line at a nipple, into the jar: air that stands there first.
      # @param path [Plumbing::Path] of the end; thinned [Float] mL that a millilitre of its air is outside
      # @return [Float] mL that left, air as it is outside
      def expel(index, ml, path, thinned = 1.0)
        return 0.0 unless ml.positive?
        gone = air.leave(index, path.length_mm, ml * thinned, path.pocket_ml)
        fluid = [ml - gone / thinned, sealed_ml].min
        @sealed_ml -= fluid
        @jar_ml += fluid
        ends[index].hose.take(fluid, gone)
        gone + fluid
      end

      # Out of the line, to where nobody gets it back.
      def leak(ml)
        @leaked_ml += out_of_sealed(ml)
      end

      # Past the cup or by the port into the reservoir.
      # @return [Boolean] it ran over
      def to_reservoir(ml)
        reservoir.take(out_of_sealed(ml))
      end

      # Out of the reservoir into the line.
      # @return [Float] mL that there were
      def from_reservoir(ml)
        reservoir.give(ml).tap { |fluid| @sealed_ml += fluid }
      end

      # Back out of the jar into the line.
      def from_jar(ml)
        @jar_ml -= ml
        @sealed_ml += ml
      end

      # An ABS unit's air comes out, fluid goes in.
      def from_unit(ml)
        @sealed_ml -= ml
      end

      # The far ends' room at rest grew by so much, or shrank.
      def rest_moved(ml)
        @rest_ml += ml
      end

      private

      # @return [Float] mL: no more than there is
      def out_of_sealed(ml)
        [ml, sealed_ml].min.tap { |fluid| @sealed_ml -= fluid }
      end

      def part
        @master = master.dup
        @give = give.dup
        @air = air.copy
        @ends = ends.map(&:copy)
        @reservoir = reservoir.dup
        @heat = heat.dup
        @unit = unit.dup
      end
    end
  end
end
