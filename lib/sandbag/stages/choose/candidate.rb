# frozen_string_literal: true

module Sandbag
  module Choose
    # One cylinder, "bore × offset", tried on a circuit (docs/physics.md 4).
    class Candidate
      WARN_SHARE = 0.8

      attr_reader :circuit, :bore_mm, :push_offset_mm

      # @param circuit [Hydraulics::Circuit] with the fitted cylinder; lever length and stroke are carried over
      def initialize(circuit, bore_mm:, push_offset_mm:)
        @bore_mm = bore_mm.to_f
        @push_offset_mm = push_offset_mm.to_f
        @circuit = circuit.worked_by(master: circuit.master.with(bore_mm: bore_mm),
          lever: circuit.lever.with(push_offset_mm: push_offset_mm))
      end

      # @return [Hash] force_n, travel_mm, stroke_mm, shares of what is available in normal and reserve case, ratios,
      #   and on a clutch lift_mm
      def at(pressure_mpa)
        stroke_mm = working_stroke_mm(pressure_mpa)
        reserve_mm = reserve_stroke_mm(pressure_mpa)
        figures = {
          force_n: circuit.finger_force_n(pressure_mpa),
          stroke_mm: stroke_mm, travel_mm: lever.travel_mm(stroke_mm),
          stroke_share: stroke_mm / master.stroke_mm, travel_share: travel_share(stroke_mm),
          reserve_stroke_share: reserve_mm / master.stroke_mm, reserve_travel_share: travel_share(reserve_mm),
          force_ratio: circuit.force_ratio, volume_ratio: circuit.volume_ratio, lever_ratio: lever.ratio
        }
        figures[:lift_mm] = Hydraulics::ClutchLift.mm(circuit, master.stroke_mm) if circuit.clutch?
        figures
      end

      # @param figures [Hash] what `at` returned
      # @return [Array<String>] why this cylinder cannot be used; empty when it can
      def rejections(figures, effort_limit_n)
        [
          if figures[:stroke_mm] > master.stroke_mm
            "bottoms out: needs #{Said.mm(figures[:stroke_mm])} of #{Said.mm(master.stroke_mm)} stroke"
          end,
          if over_travel?(figures[:travel_mm])
            "#{noun} reaches the safe gap: #{Said.mm(figures[:travel_mm])} of #{Said.mm(lever.available_travel_mm)}"
          end,
          if figures[:force_n] > effort_limit_n
            "effort over the limit: #{Said.n(figures[:force_n])}, limit #{Said.n(effort_limit_n)}"
          end,
          if lift_short?(figures)
            "clutch lift short: #{Said.mm(figures[:lift_mm], 2)}, needs #{Said.mm(lift_wanted_mm, 2)}"
          end,
          ("no reserve: would bottom out or reach the gap with knock-back and air" if no_reserve?(figures))
        ].compact
      end

      # @return [Array<String>] what to watch although the cylinder can be used
      def warnings(figures)
        shares = figures.values_at(:reserve_stroke_share, :reserve_travel_share)
        return [] unless shares.any? { |share| share > WARN_SHARE && share <= 1 }
        ["little reserve: over #{(WARN_SHARE * 100).round} % used with knock-back and air"]
      end

      private

      def lever
        circuit.lever
      end

      def master
        circuit.master
      end

      def working_stroke_mm(pressure_mpa)
        return circuit.stroke_mm(pressure_mpa) unless circuit.clutch?
        Hydraulics::ClutchLift.stroke_mm(circuit, circuit.slave.lift_needed_mm)
      end

      def reserve_stroke_mm(pressure_mpa)
        return circuit.reserve_stroke_mm(pressure_mpa) unless circuit.clutch?
        air_ml = Hydraulics::VolumeBudget.air_taken_ml(circuit.reserve_air_ml, pressure_mpa)
        working_stroke_mm(pressure_mpa) + 1000 * air_ml / master.area_mm2
      end

      def travel_share(stroke_mm)
        lever.available_travel_mm.positive? ? lever.travel_mm(stroke_mm) / lever.available_travel_mm : NO_ROOM
      end

      # Share of a travel that is not there: a gap to the grip no larger than the gap that must stay.
      NO_ROOM = 99.0

      def no_reserve?(figures)
        fits = figures[:stroke_share] <= 1 && figures[:travel_share] <= 1
        fits && [figures[:reserve_stroke_share], figures[:reserve_travel_share]].max > 1
      end

      def lift_wanted_mm
        circuit.slave.lift_needed_mm + circuit.slave.lift_margin_mm
      end

      def lift_short?(figures)
        figures[:lift_mm] && figures[:lift_mm] < lift_wanted_mm
      end

      def noun
        circuit.kind.control["noun"]
      end

      def over_travel?(travel_mm)
        travel_mm > lever.available_travel_mm
      end
    end
  end
end
