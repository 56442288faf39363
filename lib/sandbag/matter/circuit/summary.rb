# frozen_string_literal: true

module Sandbag
  module Circuit
    # What a circuit amounts to, for the machine page: every value with its source, and what follows from them.
    class Summary
      # Shares of the reference force at which the lever is computed.
      LOADS = [0.25, 0.5, 1.0, 1.5].freeze

      # @param today [Date, nil] for the age of the fluid; nil leaves it unknown
      def initialize(sheet, today: nil)
        @sheet = sheet
        @today = today
        @circuit = Assembly.build(sheet)
      end

      # @return [Hash] parts with values, ratios, working point, loads, the curve of a brake, the lift of a clutch
      def to_h
        reference_n = Reference.force_n(@sheet, @circuit)
        {
          kind: @sheet.kind.id, control: @sheet.kind.control,
          parts: @sheet.parts.map { |part| part_view(part) },
          lever_ratio: @circuit.lever.ratio,
          force_ratio: @circuit.force_ratio,
          volume_ratio: @circuit.volume_ratio,
          fluid_ml: @circuit.fluid_ml,
          stroke_ml: @circuit.volume_per_stroke_ml,
          fluid_age_years: age_years,
          fluid_look: Fluid::Age.look(age_years),
          fluid_said: Fluid::Age::SAID.fetch(Fluid::Age.look(age_years)),
          heights: heights_view,
          junctions: junctions,
          pockets: pockets,
          questions: NearMiss.questions(@sheet),
          odd: @sheet.kind.odd_bore(@sheet.value("master", "bore")),
          balance_bar: (true if @sheet.kind.has?("balance_bar")),
          reference: {
            force_n: reference_n,
            pressure_mpa: @circuit.pressure_mpa(reference_n),
            why: Reference.why(@sheet)
          },
          **(@circuit.clutch? ? clutch_view(reference_n) : brake_view(reference_n))
        }.compact
      end

      private

      def age_years
        Fluid::Age.years(@sheet.value("fluid", "changed_on"), @today)
      end

      def heights_view
        heights = Heights.new(@sheet)
        {master_mm: heights.master_mm, lines: heights.lines, high_spots: heights.high_spots}
      end

      # Where hoses part: at the master by a stacked banjo, further out by a splitter.
      def junctions
        joints = Places.of(@sheet).joints
        stacked = joints.select { |joint| joint.fitting == "stacked banjo" }
        splitters = joints.group_by { |joint| joint.splits }.except(nil)
        stacked.map { |joint| {at: joint.at, kind: joint.fitting, hoses: joint.hoses, washers: joint.washers} } +
          splitters.map { |at, ends| {at: at, kind: "splitter", hoses: ends.size, washers: ends.sum(&:washers)} }
      end

      # Bleed ports that are not at the top of their cavity, and the air that stays there.
      def pockets
        @sheet
          .parts_of("caliper")
          .filter_map do |part|
            angle, radius, depth =
              @sheet.values(part).values_at("port_angle", "cavity_radius", "cavity_depth").map(&:value)
            next unless angle.positive?
            {part: part["id"], angle_deg: angle, air_ml: Hydraulics::PortPocket.volume_ml(radius, depth, angle)}
          end
      end

      def brake_view(reference_n)
        loads = LOADS.map do |share|
          force_n = reference_n * share
          load_view(force_n, @circuit.pressure_mpa(force_n), @circuit.stroke_under_mm(force_n))
        end
        {loads: loads, curve: Hydraulics::LeverCurve.points(@circuit, up_to_n: reference_n * LOADS.last)}
      end

      # A clutch has one load that matters: the one that frees it.
      def clutch_view(reference_n)
        slave = @circuit.slave
        stroke_mm = Hydraulics::ClutchLift.stroke_mm(@circuit, slave.lift_needed_mm)
        {
          loads: [load_view(reference_n, slave.release_pressure_mpa, stroke_mm)],
          curve: [],
          lift: {
            needed_mm: slave.lift_needed_mm,
            margin_mm: slave.lift_margin_mm,
            full_stroke_mm: Hydraulics::ClutchLift.mm(@circuit, @circuit.master.stroke_mm)
          }
        }
      end

      def load_view(force_n, pressure_mpa, stroke_mm)
        {
          force_n: force_n,
          pressure_mpa: pressure_mpa,
          stroke_mm: stroke_mm,
          travel_mm: @circuit.lever.travel_mm(stroke_mm)
        }
      end

      # A value somebody entered under other limits than today's.
      def beyond(value)
        value.field.beyond(value.value) unless value.source == Source::DEFAULT || value.value.nil?
      end

      def part_view(part)
        values =
          @sheet
            .values(part)
            .values
            .map do |value|
              shown = {**value.field.view, source: value.source, value: value.value}
              past = beyond(value)
              past ? shown.merge(beyond: past) : shown
            end
        {id: part["id"], part: part["part"], label: part["label"], from: part["from"], values: values}.compact
      end
    end
  end
end
