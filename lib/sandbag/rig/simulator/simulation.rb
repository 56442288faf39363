# frozen_string_literal: true

module Sandbag
  module Rig
    # A simulated circuit that runs: lever, nipples, reservoir and tools are worked (Hands), fluid and air move by the
    # formulas of hydraulics and of the bleed (docs/physics.md 3, 6), a fiftieth of a second at a time (Moment). Nothing
    # here is chance: the same actions give the same circuit. No fluid and no air comes from nowhere or goes nowhere.
    class Simulation
      include Moment

      # Tapping shakes bubbles loose for so long. [default]
      TAPPED_S = 5.0

      attr_reader :plumbing, :faults, :celsius, :seconds, :master, :jar_ml, :leaked_ml, :sealed_ml, :poured_ml, :air,
        :placed, :heat, :unit

      # @param sheet [Circuit::Sheet]; air [Array<Slug>]; faults [Faults]; celsius [Float] of the fluid
      # @param reservoir [Float] share of it that is filled; old [Boolean] the fluid below it has to be renewed
      # @param water [Float] % in the fluid below it; unit_ml [Float] of air behind the valves of an ABS unit
      def initialize(sheet, air: [], faults: Faults.new, celsius: Airway::Way::WARM_C, reservoir: 1.0, old: false,
        water: 0.0, unit_ml: 0.0)
        @sheet = sheet
        @celsius = celsius
        @circuit = sprung(Sandbag::Circuit::Assembly.build(sheet), faults.spring)
        @plumbing = Plumbing.new(sheet, celsius: celsius)
        @placed = [].freeze
        @faults = faults
        @seconds = 0.0
        @master = Master.new(@circuit, faults)
        @give = Give.new(@circuit, faults)
        @reservoir = Reservoir.new(sheet.value("reservoir", "usable"), reservoir)
        @jar_ml = @leaked_ml = @poured_ml = @covered_ml = 0.0
        @air = Air.new(air, plumbing.fluid)
        @watch = Watch.new
        @heat = Heat.new(celsius)
        @unit = AbsUnit.new(plumbing.paths.first, unit_ml)
        @water = water
        @fluid = Tables.find("fluids", sheet.value("fluid", "stamped"))
        @ends = plumbing.paths.map do |path|
          FarEnd.new(path, ClearHose.new(path.volume_ml + @circuit.master.fluid_ml, old: old || water.positive?))
        end
        @moved_ml = [0.0] * @ends.size
        @tapped_until = @frothed_until = 0.0
        @rest_ml = @circuit.fluid_ml
        # fluid shut in below the master's cup, at rest
        @sealed_ml = @rest_ml - air_ml
        @excess_before_ml = excess_ml
        @swept_before_ml = 0.0
      end

      # @return [Float] mL of air in the lines, as it would be outside
      def air_ml
        air.ml
      end

      # @return [Array<Slug>]
      def slugs
        air.slugs
      end

      # @return [Float] mL of air that went out since the start
      def air_out_ml
        air.out_ml
      end

      # @return [Float] mL over the port; at its mark; that ran over
      def reservoir_ml
        @reservoir.ml
      end

      def reservoir_full_ml
        @reservoir.full_ml
      end

      def spilled_ml
        @reservoir.spilled_ml
      end

      # @return [Float] mL that were used: what came into the jar since it was set down
      def used_ml
        jar_ml - @covered_ml
      end

      # @return [Array<Watch::Event>] slips, in the order they were made
      def events
        @watch.events
      end

      # @return [Integer] how often a nipple was opened
      def openings
        @watch.openings
      end

      # @return [Float] mL of fluid, wherever it is: the same until somebody pours or pushes some in
      def fluid_ml
        sealed_ml + reservoir_ml + jar_ml + leaked_ml + spilled_ml + unit.fluid_ml - poured_ml
      end

      # @return [Float] MPa
      def pressure_mpa
        @give.pressure_mpa(excess_ml, gas_ml)
      end

      # @return [Float] mm that a clutch's slave stands out
      def lift_mm
        @give.lift_mm(excess_ml, gas_ml)
      end

      # @return [Float] N at the finger that hold the lever where it is
      def force_n
        master.force_n(pressure_mpa)
      end

      def lever_mm
        master.lever_mm
      end

      def travel_mm
        master.travel_mm
      end

      def port_open?
        master.port_open?
      end

      # @return [Float] 0 to 1: how fresh the fluid is that the worst end gives
      def fresh
        @ends.map { |far| far.hose.fresh }.min
      end

      # @param id [String] of a far end
      # @return [Float] the same of one end
      def fresh_at(id)
        @ends[index(id)].hose.fresh
      end

      # @return [Float] % of water in the fluid at the far ends: what was there goes out with the old fluid
      def water_percent
        @water.positive? ? @water * (1 - fresh) : 0.0
      end

      # @return [Float] °C at which the fluid at the far ends boils; free water boils by itself where the fluid takes
      #   none up, and without it nothing does
      def boils_c
        return Fluid::BoilingPoint.c(@fluid, water_percent) if @fluid && @fluid["family"] == "glycol"
        water_percent.positive? ? Fluid::BoilingPoint::WATER_C : Float::INFINITY
      end

      # @param action [Hash] see Hands
      # @return [Simulation] self, with that done and as much time gone as it takes
      # Refuses an action that there is not, and figures that cannot be.
      def act(action)
        Hands.new(self).act(action)
        self
      end

      # @param id [String] of a far end
      # @return [Integer] its place among them
      # Refuses an end that the circuit has not.
      def index(id)
        plumbing.paths.index(plumbing.find(id))
      end

      # @return [Hash] everything that can be seen of it now
      def frame
        {
          t: seconds, lever_mm: lever_mm, piston_mm: master.piston_mm, pressure_mpa: pressure_mpa, force_n: force_n,
          reservoir_ml: reservoir_ml, jar_ml: used_ml, air_out_ml: air_out_ml, celsius: heat.celsius,
          steam_ml: heat.steam_ml, unit_ml: unit.ml, slugs: slugs.map { |slug| seen(slug) },
          hoses: @ends.map { |far| {fresh: far.hose.fresh, pieces: far.hose.pieces} }
        }
      end

      # @return [Simulation] the same, to go on from apart
      def snapshot
        dup.tap { |copy| copy.send(:part) }
      end

      # The lever stands there.
      def lever_mm=(mm)
        master.lever_mm = mm
      end

      # Every nipple is shut.
      def shut?
        @ends.none?(&:open?)
      end

      # A nipple, opened so far.
      # @param index [Integer] of a far end
      def turn(index, turns)
        if turns.positive? && !@ends[index].open?
          @watch.open(plumbing.paths, index, turns, slugs.map(&:path).uniq, seconds)
        end
        @ends[index].turns = turns
      end

      def open?(index)
        @ends[index].open?
      end

      # Something else at a nipple. A tube's jar gets fluid first, for its end to stand in.
      # @param what [String] of practice_fits.yml
      def fit(index, what)
        @ends[index].fit(what)
        return unless what == "tube" && @covered_ml.zero?
        @covered_ml = FarEnd::COVER_ML
        @jar_ml += @covered_ml
        @poured_ml += @covered_ml
      end

      def pour(ml)
        @poured_ml += ml
        fill(ml)
      end

      # Out of the reservoir by a syringe, down to its port.
      def draw_off(ml)
        @jar_ml += @reservoir.give(ml)
      end

      def tap_hose
        @tapped_until = seconds + TAPPED_S
      end

      # @return [Float] mL that pistons can still be pressed home
      def homes_ml
        @give.homes_ml
      end

      # Laid otherwise: of practice_places.yml.
      def place(what)
        @placed = (placed | [what]).freeze
        laid = placed.map { |id| Tables.find("practice_places", id)["lays"] }.reduce(:merge)
        @plumbing = Plumbing.new(@sheet, celsius: celsius, **laid.transform_keys(&:to_sym))
        @ends.zip(plumbing.paths) { |far, path| far.path = path }
      end

      # A slip, now.
      def notice(what)
        @watch.notice(what, seconds)
      end

      # The lever came back from a stroke. Quick ones break what air there is into small bubbles, which find together
      # again in time.
      def stroked
        return unless @watch.stroke(seconds)
        air.froth(plumbing.paths)
        @frothed_until = seconds + Air::TOGETHER_S
      end

      private

      # With a return spring that is not the record's.
      def sprung(circuit, times)
        master = circuit.master
        circuit.worked_by(master: master.with(preload_n: times * master.preload_n), lever: circuit.lever)
      end

      # In the far end it is seen at the end of its way.
      def seen(slug)
        {**slug.to_h, at_mm: [slug.at_mm, plumbing.paths[slug.path].length_mm].min}
      end

      def part
        @master = @master.dup
        @give = @give.dup
        @air = @air.copy
        @watch = @watch.copy
        @ends = @ends.map(&:copy)
        @reservoir = @reservoir.dup
        @heat = @heat.dup
        @unit = @unit.dup
        @moved_ml = @moved_ml.dup
      end

      # Into the reservoir; more than it holds runs over.
      def fill(ml)
        @watch.notice("overfull", seconds) if @reservoir.take(ml)
      end

      # mL beyond what lies in the circuit at rest: what gap, hoses, calipers and air have to take.
      def excess_ml
        master.swept_ml + sealed_ml + gas_ml - @rest_ml
      end

      # Air and steam, as they would be outside.
      def gas_ml
        air_ml + heat.steam_ml
      end
    end
  end
end
