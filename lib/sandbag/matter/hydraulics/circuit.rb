# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # One master with its lever, lines and far end, ready to be computed. Frozen.
    class Circuit
      # Reserve case (docs/physics.md 3): running clearance grown by knock-back, and air that came in since.
      RESERVE_CLEARANCE = 1.5

      extend Attributes

      attributes :kind, :lever, :master, :lines, :calipers, :bulk_modulus_mpa, :reserve_air_ml, :slave,
        :vehicle, :held_ml

      # @return [Float] mL under pressure
      attr_reader :fluid_ml

      # @return [Float] of the whole far end: a clutch clamps nothing
      attr_reader :clamp_area_mm2, :swept_area_mm2

      # @return [VolumeBudget] of the circuit without air
      attr_reader :budget

      # @param kind [Sandbag::Circuit::Kind]
      # @param slave [SlaveCylinder, nil] nil on a brake
      # @param vehicle [Vehicle, nil] nil on a clutch
      # @param held_ml [Float, nil] fluid under pressure as somebody entered it; nil sums bore, lines and far end
      def initialize(kind:, lever:, master:, lines:, calipers:, bulk_modulus_mpa:, reserve_air_ml:, slave: nil,
        vehicle: nil, held_ml: nil)
        @kind = kind
        @lever = lever
        @master = master
        @lines = lines.freeze
        @calipers = calipers.freeze
        @slave = slave
        @vehicle = vehicle
        @bulk_modulus_mpa = Measures.finite("bulk_modulus", bulk_modulus_mpa)
        @reserve_air_ml = Measures.finite("reserve_air", reserve_air_ml)
        @held_ml = held_ml
        @clamp_area_mm2 = calipers.sum(&:clamp_area_mm2)
        @swept_area_mm2 = slave ? slave.area_mm2 : calipers.sum(&:swept_area_mm2)
        @fluid_ml = held_ml || (master.fluid_ml + lines.sum(&:fluid_ml) + far_ends.sum(&:fluid_ml))
        @budget = VolumeBudget.new(gap_ml: calipers.sum(&:gap_ml), hose_ml_mpa: lines.sum(&:swell_ml_mpa),
          actuator_ml_mpa: calipers.sum(&:stiffness_ml_mpa), fluid_ml: fluid_ml, bulk_modulus_mpa: @bulk_modulus_mpa)
        freeze
      end

      # The same circuit worked by another cylinder and lever: what lies behind it is not summed again.
      def worked_by(master:, lever:)
        dup.take(master, lever)
      end

      protected def take(master, lever)
        @fluid_ml += master.fluid_ml - @master.fluid_ml unless held_ml
        @budget = budget.with(fluid_ml: fluid_ml)
        @master = master
        @lever = lever
        freeze
      end

      def clutch?
        !slave.nil?
      end

      def far_ends
        clutch? ? [slave] : calipers
      end

      # ΣA_c / A_m; on a clutch slave over master.
      def force_ratio
        (clutch? ? slave.area_mm2 : clamp_area_mm2) / master.area_mm2
      end

      # ΣA_v / A_m
      def volume_ratio
        swept_area_mm2 / master.area_mm2
      end

      def pressure_mpa(finger_force_n)
        master.pressure_mpa(finger_force_n, lever)
      end

      def finger_force_n(pressure_mpa)
        master.finger_force_n(pressure_mpa, lever)
      end

      # @return [Float] mm of piston travel in a full stroke: what the cylinder has, or what the lever can make of it
      def full_stroke_mm
        [master.stroke_mm, lever.stroke_mm].min
      end

      # Volume of one full stroke (docs/physics.md 6).
      # @return [Float] mL
      def volume_per_stroke_ml
        master.swept_ml(full_stroke_mm)
      end

      # @return [Float] mm of piston travel that holds a pressure
      def stroke_mm(pressure_mpa, air_ml: 0)
        master.stroke_for_mm(budget.volume_ml(pressure_mpa, air_ml: air_ml))
      end

      # @return [Float] mm of piston travel that holds a pressure with knock-back and the air that came in since
      def reserve_stroke_mm(pressure_mpa)
        knock_back_ml = (RESERVE_CLEARANCE - 1) * budget.gap_ml
        master.stroke_for_mm(knock_back_ml + budget.volume_ml(pressure_mpa, air_ml: reserve_air_ml))
      end

      # @return [Float] mm of piston travel under a pull at the finger; none while the return spring is the stronger
      def stroke_under_mm(finger_force_n, air_ml: 0)
        (finger_force_n < finger_force_n(0)) ? 0.0 : stroke_mm(pressure_mpa(finger_force_n), air_ml: air_ml)
      end

      # @return [Float] mm at the finger that hold a pressure
      def travel_mm(pressure_mpa, air_ml: 0)
        lever.travel_mm(stroke_mm(pressure_mpa, air_ml: air_ml))
      end

      # @return [Float] mm of finger travel that a volume costs
      def travel_of_volume_mm(volume_ml)
        lever.ratio * 1000 * volume_ml / master.area_mm2
      end
    end
  end
end
