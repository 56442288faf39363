# frozen_string_literal: true

module Sandbag
  module Rig
    # A simulated circuit that runs: lever, nipples and reservoir are worked, fluid and air move by the formulas of
    # hydraulics and of the bleed (docs/physics.md 3, 6), in steps of a fiftieth of a second. Nothing here is chance:
    # the same actions give the same circuit. No fluid and no air comes from nowhere or goes nowhere.
    class Simulation
      STEP_S = 0.02
      # Fluid in the reservoir below which its port is uncovered, mL.
      PORT_ML = 0.0
      # A slug this near to the master's outlet is under the open port, mm.
      AT_PORT_MM = 2.0
      # Air that an open port lets up a second, mL. [default]
      PORT_ML_S = 0.5
      # Small bubbles that tapping shakes loose rise by this where a slug is arrested, mm/s. [default]
      TAPPED_MM_S = 8.0
      TAPPED_S = 5.0

      attr_reader :plumbing, :faults, :seconds, :lever_mm, :reservoir_ml, :jar_ml, :leaked_ml, :slugs, :sealed_ml,
        :air_out_ml, :air_in_ml, :poured_ml, :events, :reservoir_full_ml

      # @param sheet [Circuit::Sheet]; air [Array<Slug>]; faults [Faults]; celsius [Float] of the fluid
      # @param reservoir [Float] share of it that is filled
      def initialize(sheet, air: [], faults: Faults.new, celsius: Bleed::Way::WARM_C, reservoir: 1.0)
        @sheet = sheet
        @circuit = Sandbag::Circuit::Assembly.build(sheet)
        @plumbing = Plumbing.new(sheet, celsius: celsius)
        @faults = faults
        @seconds = @lever_mm = 0.0
        @reservoir_full_ml = sheet.value("reservoir", "usable")
        @reservoir_ml = @reservoir_full_ml * reservoir
        @jar_ml = @leaked_ml = @air_out_ml = @air_in_ml = @poured_ml = 0.0
        @slugs = air.map(&:dup)
        @turns = [0.0] * plumbing.paths.size
        @tapped_until = 0.0
        @rest_ml = @circuit.fluid_ml
        # fluid shut in below the master's cup, at rest
        @sealed_ml = @rest_ml - air_ml
        @moved_ml = [0.0] * plumbing.paths.size
        @events = []
        @excess_before_ml = excess_ml
      end

      # @return [Float] mL of air in the circuit, as it would be outside
      def air_ml
        slugs.sum(&:ml)
      end

      # @return [Float] mL of fluid, wherever it is: the same until somebody pours
      def fluid_ml
        sealed_ml + reservoir_ml + jar_ml + leaked_ml - poured_ml
      end

      # @return [Float] mm that the piston stands in
      def piston_mm
        free = faults.no_free_play ? 0.0 : @circuit.lever.free_play_mm
        [(lever_mm - free) / @circuit.lever.ratio, 0.0].max.clamp(0.0, @circuit.master.stroke_mm)
      end

      # @return [Float] MPa
      def pressure_mpa
        pressure_of(excess_ml)
      end

      # @return [Float] N at the finger that hold the lever where it is
      def force_n
        return 0.0 unless lever_mm.positive?
        @circuit.finger_force_n(pressure_mpa)
      end

      # The port is open to the reservoir.
      def port_open?
        faults.port_opens? && piston_mm < @circuit.master.dead_stroke_mm
      end

      # Does one thing, and lets time pass as it takes.
      # @param action [Hash] do: lever (to mm, s), wait (s), nipple (end, turns), pour (ml), tap
      # @return [Simulation] self
      # Refuses an action that there is not, and figures that cannot be.
      def act(action)
        case action["do"]
        when "lever" then pull(number(action, "to", 0, travel_mm), number(action, "s", STEP_S, 60))
        when "wait" then run(number(action, "s", 0, 3600))
        when "nipple" then open_nipple(plumbing.find(action["end"]), number(action, "turns", 0, 3))
        when "pour" then pour(number(action, "ml", 0, 500))
        when "tap" then @tapped_until = seconds + TAPPED_S
        else raise Refusal.at("do", "there is no action “#{action["do"]}”", "lever, wait, nipple, pour, tap")
        end
        self
      end

      # @return [Float] mm at the finger, all the way
      def travel_mm
        @circuit.lever.travel_mm(@circuit.master.stroke_mm)
      end

      # @return [Hash] everything that can be seen of it now
      def frame
        {
          t: seconds, lever_mm: lever_mm, piston_mm: piston_mm, pressure_mpa: pressure_mpa, force_n: force_n,
          reservoir_ml: reservoir_ml, jar_ml: jar_ml, air_out_ml: air_out_ml,
          slugs: slugs.map { |slug| {ml: slug.ml, path: slug.path, at_mm: slug.at_mm} }
        }
      end

      # @return [Simulation] the same, to go on from apart
      def snapshot
        dup.tap { |copy| copy.send(:part) }
      end

      private

      def part
        @slugs = @slugs.map(&:dup)
        @turns = @turns.dup
        @moved_ml = @moved_ml.dup
        @events = @events.dup
      end

      def number(action, name, least, most)
        value = action[name]
        return value.to_f if value.is_a?(Numeric) && value.finite? && value.between?(least, most)
        raise Refusal.at(name, "#{value.inspect} cannot be done", "#{least} to #{most.round(1)}")
      end

      def pull(to_mm, over_s)
        steps = [(over_s / STEP_S).round, 1].max
        from = lever_mm
        (1..steps).each do |step|
          @lever_mm = from + (to_mm - from) * step / steps
          advance
        end
      end

      def run(over_s)
        (over_s / STEP_S).round.times { advance }
      end

      def open_nipple(path, turns)
        @turns[plumbing.paths.index(path)] = turns
      end

      def pour(ml)
        room = [@reservoir_full_ml - reservoir_ml, 0.0].max
        noticed("overfull") if ml > room
        @reservoir_ml += ml
        @poured_ml += ml
      end

      def noticed(what)
        events << {what: what, t: seconds} unless events.any? && events.last[:what] == what
      end

      # mL beyond what lies in the circuit at rest: what gap, hoses, calipers and air have to take.
      def excess_ml
        swept_ml + sealed_ml + air_ml - @rest_ml
      end

      def swept_ml
        area = @circuit.master.area_mm2
        area * [piston_mm - @circuit.master.dead_stroke_mm, 0.0].max / 1000
      end

      # V(p) = gap + C p + air p/(p + p_atm), solved for p: a quadratic.
      def pressure_of(excess)
        taken = excess - gap_ml
        return 0.0 unless taken.positive?
        stiffness = stiffness_ml_mpa
        outside = ATMOSPHERE_MPA
        middle = stiffness * outside + air_ml - taken
        (-middle + Math.sqrt(middle**2 + 4 * stiffness * taken * outside)) / (2 * stiffness)
      end

      def gap_ml
        @circuit.budget.gap_ml * faults.gap
      end

      def stiffness_ml_mpa
        @circuit.budget.stiffness_ml_mpa * faults.softer
      end

      def advance
        @seconds += STEP_S
        pressure = pressure_of(excess_ml)
        flow_out(pressure)
        leak(pressure)
        draw_in
        equalise if port_open?
        move_air(flows)
        let_air_up if port_open?
      end

      # Through every open nipple, as hard as the pressure and the head push it.
      def flow_out(pressure)
        @turns.each_with_index do |turns, index|
          @moved_ml[index] = 0.0
          next unless turns.positive?
          path = plumbing.paths[index]
          head = Hydraulics::Flow.head_mpa(path.head_mm + Bleed::Drive::JAR_MM, plumbing.fluid)
          driving = pressure + (port_open? ? [head, 0.0].max : 0.0)
          ml = [driving / plumbing.resistance(path, turns) * STEP_S, available_ml(pressure)].min
          @moved_ml[index] = expel(index, ml)
        end
      end

      # No more than is under pressure, or than the reservoir has above its port.
      def available_ml(pressure)
        under = [excess_ml, 0.0].max
        return under if pressure.positive? || !port_open?
        [reservoir_ml, 0.0].max
      end

      # @return [Float] mL that left by a nipple, air at its end first
      def expel(index, ml)
        return 0.0 unless ml.positive?
        left = ml
        at_end = slugs.select { |slug| slug.path == index && slug.at_mm >= plumbing.paths[index].length_mm - 1e-6 }
        at_end.each do |slug|
          gone = [slug.ml, left].min
          slug.ml -= gone
          left -= gone
          @air_out_ml += gone
        end
        slugs.reject! { |slug| slug.ml <= 0 }
        fluid = [left, sealed_ml].min
        @sealed_ml -= fluid
        @jar_ml += fluid
        ml - left + fluid
      end

      def leak(pressure)
        return unless pressure.positive?
        out = faults.leak_ml_s_mpa * pressure * STEP_S
        past = faults.bypass_ml_s_mpa * pressure * STEP_S
        @sealed_ml -= out + past
        @leaked_ml += out
        @reservoir_ml += past
      end

      # What is missing comes back by an open nipple, else past the cup out of the reservoir; air where it is empty.
      def draw_in
        missing = -excess_ml
        return unless missing > 1e-12
        open = @turns.index(&:positive?)
        return draw_back(open, missing) if open && !port_open?
        take_from_reservoir(missing)
      end

      # The hose's end stands in the jar: what it holds comes back, then air.
      def draw_back(index, missing)
        noticed("released_open")
        enter(missing, index, plumbing.paths[index].length_mm)
      end

      def take_from_reservoir(missing)
        fluid = [missing, reservoir_ml - PORT_ML].min.clamp(0.0, missing)
        @reservoir_ml -= fluid
        @sealed_ml += fluid
        air = missing - fluid
        return unless air > 1e-12
        noticed("port_uncovered")
        enter(air, 0, 0.0)
      end

      def enter(ml, path, at_mm)
        @air_in_ml += ml
        near = slugs.find { |slug| slug.path == path && (slug.at_mm - at_mm).abs < 1.0 }
        near ? near.ml += ml : slugs << Slug.new(ml: ml, path: path, at_mm: at_mm)
      end

      # Open to the reservoir, nothing is under pressure.
      def equalise
        over = excess_ml
        return unless over > 1e-12
        @sealed_ml -= over
        @reservoir_ml += over
      end

      # @return [Array<Float>] mL/s outward on each way: what left by its nipple, and its share of what far ends took
      def flows
        taken = (excess_ml - @excess_before_ml) / plumbing.paths.size
        @excess_before_ml = excess_ml
        @moved_ml.map { |ml| (ml + taken) / STEP_S }
      end

      def move_air(flows)
        slugs.each { |slug| move(slug, flows) }
        merge
      end

      def move(slug, flows)
        path = plumbing.paths[slug.path]
        leg = path.leg_at(slug.at_mm)
        flow = flow_in(leg, flows)
        drift = (leg.drift_mm_s.zero? && tapped? && !leg.rise.zero?) ? TAPPED_MM_S : leg.drift_mm_s
        speed = Hydraulics::Bubble::NOSE * 1000 * flow / leg.area_mm2 + leg.rise * drift
        at = slug.at_mm + speed * STEP_S
        # it stays where it rises to, unless the flow takes it further
        slug.at_mm = stopped(path, leg, slug.at_mm, at, flow)
      end

      def tapped?
        seconds < @tapped_until
      end

      # Ways that share a line share its flow.
      def flow_in(leg, flows)
        plumbing.paths.each_with_index.sum do |path, index|
          (path.legs.any? { |each| each.line == leg.line }) ? flows[index] : 0.0
        end
      end

      # The top of a leg holds a slug that only drifts.
      def stopped(path, leg, from, at, flow)
        at = at.clamp(0.0, path.length_mm)
        return at unless flow.zero?
        return [at, leg.to_mm].min if leg.rise.positive? && from <= leg.to_mm
        at
      end

      def merge
        return if slugs.size < 2
        slugs.group_by { |slug| [slug.path, slug.at_mm.round] }.each_value do |together|
          next if together.size < 2
          first, *rest = together
          first.ml += rest.sum(&:ml)
          rest.each { |slug| slugs.delete_if { |each| each.equal?(slug) } }
        end
      end

      # Air under the open port goes up into the reservoir; fluid comes down in its place.
      def let_air_up
        slugs.each do |slug|
          next if slug.at_mm > AT_PORT_MM
          up = [slug.ml, PORT_ML_S * STEP_S, [reservoir_ml, 0.0].max].min
          slug.ml -= up
          @air_out_ml += up
          @reservoir_ml -= up
          @sealed_ml += up
        end
        slugs.reject! { |slug| slug.ml <= 0 }
      end
    end
  end
end
