# frozen_string_literal: true

require "forwardable"

module Sandbag
  module Rig
    # A simulated circuit that runs: lever, nipples, reservoir and tools are worked (Hands), fluid and air move by the
    # formulas of hydraulics and of the bleed (docs/physics.md 3, 6), a step of time after the other (Moment), in what
    # the Ledger holds. Nothing here is chance: the same actions give the same circuit.
    class Simulation
      extend Forwardable

      STEP_S = Moment::STEP_S
      # Tapping shakes bubbles loose for so long. [default]
      TAPPED_S = 5.0

      def_delegators :@ledger, :plumbing, :master, :air, :heat, :unit, :jar_ml, :leaked_ml, :sealed_ml, :poured_ml,
        :pressure_mpa, :excess_ml, :fluid_ml, :used_ml, :draw_off
      def_delegators :master, :lever_mm, :lever_mm=, :travel_mm, :port_open?
      # openings: how often a nipple was opened; events [Array<Watch::Event>] slips, in the order they were made
      def_delegators :@watch, :events, :openings

      # step_s: in steps of which time passes
      attr_reader :faults, :celsius, :seconds, :placed, :step_s

      # @param sheet [Circuit::Sheet]; air [Array<Slug>]; faults [Faults]; celsius [Float] of the fluid
      # @param reservoir [Float] share of it that is filled; old [Boolean] the fluid below it has to be renewed
      # @param water [Float] % in the fluid below it; unit_ml [Float] of air behind the valves of an ABS unit
      # @param step_s [Float] in steps of which time passes
      def initialize(sheet, air: [], faults: Faults.new, celsius: Airway::Way::WARM_C, reservoir: 1.0, old: false,
        water: 0.0, unit_ml: 0.0, step_s: STEP_S)
        @step_s = step_s
        @sheet = sheet
        @celsius = celsius
        @faults = faults
        @water = water
        @fluid = Tables.find("fluids", sheet.value("fluid", "stamped"))
        @placed = [].freeze
        @seconds = @tapped_until = @frothed_until = 0.0
        @watch = Watch.new
        @ledger = opened(air, reservoir, unit_ml, old: old || water.positive?)
        @moment = Moment.new(@ledger, faults, @watch, step_s: step_s)
      end

      # A step of time passes.
      # @param brakes [Boolean] held on down a pass; held [Hash] see Moment#pass
      def advance(brakes: false, **held)
        @seconds += step_s
        warmth = {brakes: brakes, boils_c: boils_under_pressure_c} if brakes || heat.celsius > celsius
        @moment.pass(seconds, **held, warmth: warmth, tapped: seconds < @tapped_until,
          frothed: seconds < @frothed_until)
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
        @ledger.reservoir.ml
      end

      def reservoir_full_ml
        @ledger.reservoir.full_ml
      end

      def spilled_ml
        @ledger.reservoir.spilled_ml
      end

      # @return [Float] mm that a clutch's slave stands out
      def lift_mm
        @ledger.give.lift_mm(@ledger.excess_ml, @ledger.gas_ml)
      end

      # @return [Float] N at the finger that hold the lever where it is
      def force_n
        master.force_n(pressure_mpa)
      end

      # @return [Float] N: no hand, finger or foot presses harder on this lever
      def most_n
        @sheet.kind.most_n
      end

      # @return [Float] 0 to 1: how fresh the fluid is that the worst end gives
      def fresh
        @ledger.ends.map { |far| far.hose.fresh }.min
      end

      # @param id [String] of a far end
      # @return [Float] the same of one end
      def fresh_at(id)
        @ledger.ends[index(id)].hose.fresh
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

      # Under pressure it boils later, and steam goes back into it.
      def boils_under_pressure_c
        Fluid::BoilingPoint.under_c(boils_c, pressure_mpa)
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
          hoses: @ledger.ends.map { |far| {fresh: far.hose.fresh, pieces: far.hose.pieces} }
        }
      end

      # @return [Simulation] the same, to go on from apart
      def snapshot
        dup.tap { |copy| copy.send(:part) }
      end

      # Every nipple is shut.
      def shut?
        @ledger.ends.none?(&:open?)
      end

      # A nipple, opened so far.
      # @param index [Integer] of a far end
      def turn(index, turns)
        if turns.positive? && !@ledger.ends[index].open?
          @watch.open(plumbing.paths, index, turns, slugs.map(&:path).uniq, seconds)
        end
        @ledger.ends[index].turns = turns
      end

      def open?(index)
        @ledger.ends[index].open?
      end

      # @return [String] of practice_fits.yml
      def fitted(index)
        @ledger.ends[index].fitted["id"]
      end

      # Something else at a nipple. A tube's jar gets fluid first, for its end to stand in.
      # @param what [String] of practice_fits.yml
      def fit(index, what)
        @ledger.ends[index].fit(what)
        @ledger.cover_tube(FarEnd::COVER_ML) if what == "tube"
      end

      def pour(ml)
        notice("overfull") if @ledger.pour(ml)
      end

      def tap_hose
        @tapped_until = seconds + TAPPED_S
      end

      # @return [Float] mL that pistons can still be pressed home
      def homes_ml
        @ledger.give.homes_ml
      end

      # Laid otherwise: of practice_places.yml.
      def place(what)
        @placed = (placed | [what]).freeze
        laid = placed.map { |id| Tables.find("practice_places", id)["lays"] }.reduce(:merge)
        @ledger.plumbing = Plumbing.new(@sheet, celsius: celsius, **laid.transform_keys(&:to_sym))
        @ledger.ends.zip(plumbing.paths) { |far, path| far.path = path }
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

      def opened(air, reservoir, unit_ml, old:)
        circuit = sprung(Sandbag::Circuit::Assembly.build(@sheet))
        plumbing = Plumbing.new(@sheet, celsius: celsius)
        ends = plumbing.paths.map do |path|
          FarEnd.new(path, ClearHose.new(path.volume_ml + circuit.master.fluid_ml, old: old))
        end
        Ledger.new(circuit, plumbing, faults, air: Air.new(air, plumbing.fluid), heat: Heat.new(celsius), ends: ends,
          reservoir: Reservoir.new(@sheet.value("reservoir", "usable"), reservoir),
          unit: AbsUnit.new(plumbing.paths.first, unit_ml))
      end

      # With a return spring that may not be the record's.
      def sprung(circuit)
        master = circuit.master
        circuit.worked_by(master: master.with(preload_n: faults.spring * master.preload_n), lever: circuit.lever)
      end

      def part
        @ledger = @ledger.copy
        @watch = @watch.copy
        @moment = @moment.copy(@ledger, @watch)
      end

      # In the far end it is seen at the end of its way.
      def seen(slug)
        {**slug.to_h, at_mm: [slug.at_mm, plumbing.paths[slug.path].length_mm].min}
      end
    end
  end
end
