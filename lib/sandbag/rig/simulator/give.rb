# frozen_string_literal: true

module Sandbag
  module Rig
    # What gives in a simulated circuit under pressure: V(p) = gap + C p + gas p/(p + p_atm), docs/physics.md 3. A
    # clutch's slave goes at the pressure that releases it, which therefore rises no further (docs/physics.md 4).
    class Give
      # How far all pistons together can be pressed home, mL. [default]
      HOME_ML = 4.0

      # @return [Float] mL by which pads stand off until they are pressed to
      attr_reader :knocked_back_ml

      # @param circuit [Hydraulics::Circuit]; faults [Faults]
      def initialize(circuit, faults)
        budget = circuit.budget
        @slave = (circuit.slave unless faults.slave_stuck)
        @gap_ml = budget.gap_ml * faults.gap * faults.felt
        @early_ml = budget.gap_ml * faults.give
        @stiffness_ml_mpa = budget.stiffness_ml_mpa * faults.softer * faults.felt
        @knocked_back_ml = budget.gap_ml * faults.knocked_back
      end

      # @param excess_ml [Float] that has to be taken; gas_ml [Float] of air and steam, as they would be outside
      # @return [Float] MPa at which that is taken
      def pressure_mpa(excess_ml, gas_ml)
        taken = excess_ml - @gap_ml - knocked_back_ml
        return 0.0 unless taken.positive?
        pressure = @early_ml.positive? ? with_early_give(taken, gas_ml) : solved(taken, gas_ml)
        @slave ? [pressure, @slave.release_pressure_mpa].min : pressure
      end

      # @param excess_ml [Float] that has to be taken
      # @return [Float] mL of it that are under pressure: what fills the gap behind the pads is not
      def pressed_ml(excess_ml)
        [excess_ml - @gap_ml - knocked_back_ml, 0.0].max
      end

      # @return [Float] MPa by which a millilitre less changes the pressure
      def stiffness_mpa_ml(pressure, gas_ml)
        return 0.0 if @slave && pressure >= @slave.release_pressure_mpa
        early = @early_ml / EARLY_MPA * Math.exp(-pressure / EARLY_MPA)
        1 / (@stiffness_ml_mpa + gas_ml * ATMOSPHERE_MPA / (pressure + ATMOSPHERE_MPA)**2 + early)
      end

      # @return [Float] mm that a clutch's slave stands out; 0 on a brake
      def lift_mm(excess_ml, gas_ml)
        return 0.0 unless @slave
        pressure = @slave.release_pressure_mpa
        taken = @stiffness_ml_mpa * pressure + Hydraulics::VolumeBudget.air_taken_ml(gas_ml, pressure)
        1000 * [excess_ml - taken, 0.0].max / @slave.area_mm2
      end

      # Pads that stood off slide out once the gap is taken, and stay where they were brought.
      # @param excess_ml [Float] that has to be taken
      # @return [Float] mL that they took up
      def take_up(excess_ml)
        taken = (excess_ml - @gap_ml).clamp(0.0, knocked_back_ml)
        @knocked_back_ml -= taken
        taken
      end

      # @return [Float] mL that pistons can still be pressed home
      def homes_ml
        [HOME_ML - knocked_back_ml, 0.0].max
      end

      def press_home(ml)
        @knocked_back_ml += ml
      end

      private

      # V(p) for p: a quadratic.
      def solved(taken, gas_ml)
        outside = ATMOSPHERE_MPA
        middle = @stiffness_ml_mpa * outside + gas_ml - taken
        (-middle + Math.sqrt(middle**2 + 4 * @stiffness_ml_mpa * taken * outside)) / (2 * @stiffness_ml_mpa)
      end

      # The early give is over within so many MPa, as 1 − e^(−p/EARLY). [default]
      EARLY_MPA = 0.1
      STEPS, CLOSE_MPA = 60, 1e-12

      # Newton's steps from nothing: what is taken grows less and less with pressure, so that none goes too far.
      def with_early_give(taken, gas_ml)
        pressure = 0.0
        STEPS.times do
          left = Math.exp(-pressure / EARLY_MPA)
          gas = gas_ml / (pressure + ATMOSPHERE_MPA)
          short = taken - @stiffness_ml_mpa * pressure - gas * pressure - @early_ml * (1 - left)
          step = short / (@stiffness_ml_mpa + gas * ATMOSPHERE_MPA / (pressure + ATMOSPHERE_MPA) +
            @early_ml * left / EARLY_MPA)
          pressure += step
          break if step < CLOSE_MPA
        end
        pressure
      end
    end
  end
end
