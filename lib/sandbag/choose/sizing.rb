# frozen_string_literal: true

module Sandbag
  module Choose
    # The fitted cylinder beside candidates at one working point: what each costs the hand, what is rejected and why.
    class Sizing
      MOST_CANDIDATES = 300

      # @param sheet [Circuit::Sheet]
      # @param sizes [Array<Array(Float, Float)>] bore and push offset of each candidate, mm
      def initialize(sheet, sizes: Sizing.usual(sheet.kind))
        raise Refusal.at("candidates", "#{sizes.size} candidates are too many", "up to #{MOST_CANDIDATES}") if sizes.size > MOST_CANDIDATES
        @sheet = sheet
        @circuit = Circuit::Assembly.build(sheet)
        @target = sheet.values(sheet.parts_of("target").first).transform_values(&:value)
        @pressure_mpa = Circuit::Reference.pressure_mpa(sheet, @circuit)
        @fitted_size = [@circuit.master.bore_mm, @circuit.lever.push_offset_mm]
        @sizes = ([@fitted_size] + sizes.map { |size| size.map(&:to_f) }).uniq
      end

      # @return [Array<Array>] the sizes usually compared on a kind of circuit
      def self.usual(kind)
        Knowledge.table("cylinders").select { |row| row["kinds"].include?(kind) }.flat_map { |row| row["sizes"] }
      end

      # @return [Hash] pressure_mpa, why, target, and rows: fitted first, then usable ones nearest the wanted effort and
      #   travel first, then rejected ones
      def to_h
        rows = @sizes.map { |size| row(size) }
        front = ParetoFront.of(rows.select { |each| each[:rejected].empty? }) { |each| [each[:force_n], each[:travel_mm]] }
        rows.each { |each| each[:front] = front.include?(each) }
        {pressure_mpa: @pressure_mpa, why: Circuit::Reference.why(@sheet), target: target_view, rows: rank(rows)}
      end

      # @return [Hash] the row of one cylinder
      def row_of(bore_mm, push_offset_mm)
        row([bore_mm.to_f, push_offset_mm.to_f])
      end

      private

      def row(size)
        candidate = Candidate.new(@circuit, bore_mm: size[0], push_offset_mm: size[1])
        figures = candidate.at(@pressure_mpa)
        {bore_mm: size[0], push_offset_mm: size[1], fitted: size == @fitted_size, **figures, **change(figures),
         rejected: candidate.rejections(figures, @target["effort_limit"]), warnings: candidate.warnings(figures),
         distance: distance(figures)}
      end

      def fitted_figures
        @fitted_figures ||= Candidate.new(@circuit, bore_mm: @fitted_size[0], push_offset_mm: @fitted_size[1]).at(@pressure_mpa)
      end

      def change(figures)
        effort, travel = %i[force_n travel_mm].map { |key| 100 * (figures[key] / fitted_figures[key] - 1) }
        band = ChangeBand.of([effort.abs, travel.abs].max)
        {effort_change_percent: effort, travel_change_percent: travel, felt: band["verdict"], agreement_needed: band["agree"]}
      end

      # Distance to the wanted effort and travel, each scaled by its tolerance.
      def distance(figures)
        Math.hypot((figures[:force_n] - @target["effort"]) / @target["effort_tolerance"],
          (figures[:travel_mm] - @target["travel"]) / @target["travel_tolerance"])
      end

      def rank(rows)
        rows.sort_by { |each| [each[:fitted] ? 0 : 1, each[:rejected].empty? ? 0 : 1, each[:distance]] }
      end

      def target_view
        {effort_n: @target["effort"], effort_tolerance_n: @target["effort_tolerance"], effort_limit_n: @target["effort_limit"],
         travel_mm: @target["travel"], travel_tolerance_mm: @target["travel_tolerance"],
         available_travel_mm: @circuit.lever.available_travel_mm}
      end
    end
  end
end
