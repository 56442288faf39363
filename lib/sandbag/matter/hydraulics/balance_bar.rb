# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Two cylinders on one pedal (docs/physics.md 10). The pedal pushes a bar at its bearing, the ends of the bar push a
    # piston each. The bearing's distance from the rear rod, over the length of the bar, is the share of the push that
    # the front cylinder gets. Frozen.
    class BalanceBar
      # What one circuit does at a push: brake_n is the force at the road.
      Side = Struct.new(:pressure_mpa, :clamp_n, :brake_n, :stroke_mm, keyword_init: true)
      # The pedal at a push: force_n and travel_mm at the foot, tilt_deg of the bar, a Side each.
      Point = Struct.new(:force_n, :travel_mm, :tilt_deg, :front, :rear, keyword_init: true)

      # Above any foot: where the search for a push ends.
      MOST_N = 5_000.0

      attr_reader :front, :rear, :share

      # @param front, rear [Circuit] brakes, on the same pedal
      # @param share [Float] of the push that goes to the front, 0 to 1
      # @param length_mm [Float] of the bar, between its rods
      def initialize(front:, rear:, share:, length_mm:)
        @front = worked(front, share)
        @rear = worked(rear, 1 - share)
        @share = share
        @length_mm = length_mm
        freeze
      end

      # Where the bearing has to stand for two brake forces at once, and the push that gives them.
      # @param front_n, rear_n [Float] wanted at the road
      # @return [Array(Float, Float)] share to the front, and N at the foot
      def self.for(front, rear, front_n, rear_n)
        pushes = [[front, front_n], [rear, rear_n]].map do |circuit, brake_n|
          pressure_mpa = brake_n / circuit.vehicle.brake_n_mpa(circuit.clamp_area_mm2)
          pressure_mpa * circuit.master.area_mm2 + circuit.master.preload_n
        end
        [pushes.first / pushes.sum, pushes.sum / front.lever.with(share: 1.0).gain]
      end

      # @param force_n [Float] at the foot
      # @return [Point]
      def at(force_n)
        sides = [front, rear].map { |circuit| side(circuit, force_n) }
        strokes = sides.map(&:stroke_mm)
        Point.new(force_n: force_n, travel_mm: travel_mm(*strokes), tilt_deg: tilt_deg(*strokes), front: sides.first,
          rear: sides.last).freeze
      end

      # @param brake_n [Float] wanted of both circuits together, at the road
      # @return [Float, nil] N at the foot; nil where no foot gives it
      def force_for_n(brake_n)
        return if together_n(MOST_N) < brake_n
        Bisection.find(0.0, MOST_N) { |force_n| together_n(force_n) > brake_n }
      end

      # One circuit gives nothing: its piston goes to the end of its stroke, and the other brakes with its share.
      # @param which [Symbol] :front or :rear, the one that is lost; force_n [Float] at the foot
      # @return [Float] mm at the foot
      def travel_without_mm(which, force_n)
        strokes = {front: front, rear: rear}.map do |name, circuit|
          (name == which) ? circuit.master.stroke_mm : circuit.stroke_under_mm(force_n)
        end
        travel_mm(*strokes)
      end

      # @return [Float] mm at the foot with knock-back and the air that came in since, in both circuits
      def reserve_travel_mm(point)
        travel_mm(front.reserve_stroke_mm(point.front.pressure_mpa), rear.reserve_stroke_mm(point.rear.pressure_mpa))
      end

      private

      def worked(circuit, share)
        circuit.worked_by(master: circuit.master, lever: circuit.lever.with(share: share))
      end

      def side(circuit, force_n)
        pressure_mpa = circuit.pressure_mpa(force_n)
        Side.new(pressure_mpa: pressure_mpa, clamp_n: pressure_mpa * circuit.clamp_area_mm2,
          brake_n: pressure_mpa * circuit.vehicle.brake_n_mpa(circuit.clamp_area_mm2),
          stroke_mm: circuit.stroke_under_mm(force_n)).freeze
      end

      def together_n(force_n)
        [front, rear].sum { |circuit| side(circuit, force_n).brake_n }
      end

      # The bearing goes as far as its place between the two rods.
      def travel_mm(front_mm, rear_mm)
        front.lever.travel_mm(share * front_mm + (1 - share) * rear_mm)
      end

      def tilt_deg(front_mm, rear_mm)
        Math.atan2((front_mm - rear_mm).abs, @length_mm) * 180 / Math::PI
      end
    end
  end
end
