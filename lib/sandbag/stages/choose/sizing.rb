# frozen_string_literal: true

module Sandbag
  module Choose
    # The fitted cylinder beside candidates at one working point: what each costs the hand, what is rejected and why.
    class Sizing
      MOST_CANDIDATES = 300

      # @param sheet [Circuit::Sheet]
      # @param sizes [Array<Array(Float, Float)>] bore and push offset of each plain candidate, mm
      # @param options [Array<Option>] further candidates, with changes to other parts too
      def initialize(sheet, sizes: Sizing.usual(sheet.kind), options: [], school: School.new)
        count = sizes.size + options.size
        if count > MOST_CANDIDATES
          raise Refusal.at("candidates", "#{count} candidates are too many", "up to #{MOST_CANDIDATES}")
        end
        @sheet = sheet
        @circuit = Circuit::Assembly.build(sheet)
        @school = school
        @target = sheet.values(sheet.parts_of("target").first).transform_values(&:value)
        @fitted = Option.new(sheet, circuit: @circuit)
        @options = ([@fitted] + sizes.map { |size| cylinder(*size) } + options).uniq(&:key)
      end

      # @return [Array<Array>] the sizes usually compared on a kind of circuit
      def self.usual(kind)
        cylinders(kind)["sizes"]
      end

      # @return [Array<Array>] every usual bore with every usual push offset
      def self.grid(kind)
        cylinders(kind)["bores"].product(cylinders(kind)["offsets"])
      end

      def self.cylinders(kind)
        Tables.find("cylinders", kind.cylinders)
      end
      private_class_method :cylinders

      # @return [Hash] pressure_mpa, why, target, and rows: fitted first, then usable ones nearest to what is wanted,
      #   then rejected ones
      def to_h
        rows = @options.map { |option| row(option) }
        front =
          ParetoFront.of(rows.select { |each| each[:rejected].empty? }) { |each| [each[:force_n], each[:travel_mm]] }
        on_front = front.to_h { |each| [each[:key], true] }
        rows.each { |each| each[:front] = on_front.key?(each[:key]) }
        {pressure_mpa: @fitted.pressure_mpa, why: Circuit::Reference.why(@sheet), school: @school.id,
         target: target_view, rows: rank(rows)}
      end

      # @return [Hash] the row of one cylinder
      def row_of(bore_mm, push_offset_mm)
        row(cylinder(bore_mm, push_offset_mm))
      end

      private

      def cylinder(bore_mm, push_offset_mm)
        Option.new(@sheet, circuit: @circuit, bore_mm: bore_mm, push_offset_mm: push_offset_mm)
      end

      def row(option)
        candidate = option.candidate
        figures = candidate.at(option.pressure_mpa)
        row = {key: option.key, label: option.label, bore_mm: option.bore_mm, push_offset_mm: option.push_offset_mm,
               fitted: option.key == @fitted.key, **figures, **change(figures),
               band: School.band_of(figures[:volume_ratio])["id"],
               rejected: candidate.rejections(figures, @target["effort_limit"]),
               warnings: [*candidate.warnings(figures), *@sheet.kind.odd_bore(option.bore_mm)],
               distance: @school.distance(figures, @target)}
        row.compact!
        row
      end

      def fitted_figures
        @fitted_figures ||= @fitted.candidate.at(@fitted.pressure_mpa)
      end

      def change(figures)
        effort = 100 * (figures[:force_n] / fitted_figures[:force_n] - 1)
        travel = 100 * (figures[:travel_mm] / fitted_figures[:travel_mm] - 1)
        band = ChangeBand.of([effort.abs, travel.abs].max)
        {
          effort_change_percent: effort,
          travel_change_percent: travel,
          felt: band["verdict"],
          agreement_needed: band["agree"],
          agreed_over_percent: ChangeBand.agreed_over
        }
      end

      def rank(rows)
        fitted, others = rows.partition { |each| each[:fitted] }
        usable, rejected = others.partition { |each| each[:rejected].empty? }
        fitted + [usable, rejected].flat_map { |each| each.sort_by { |row| row[:distance] } }
      end

      def target_view
        {
          deceleration_m_s2: @target["deceleration"],
          effort_n: @target["effort"],
          effort_tolerance_n: @target["effort_tolerance"],
          effort_limit_n: @target["effort_limit"],
          travel_mm: @target["travel"],
          travel_tolerance_mm: @target["travel_tolerance"],
          available_travel_mm: @circuit.lever.available_travel_mm
        }.compact
      end
    end
  end
end
