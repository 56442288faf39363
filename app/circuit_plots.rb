# frozen_string_literal: true

require "date"

module App
  # What can be plotted of a circuit by itself, each as an SVG file for paper.
  class CircuitPlots
    # @param sheet [Sandbag::Circuit::Sheet]; length [Hash] unit and factor of the shop, by string keys
    def initialize(sheet, length)
      @sheet = sheet
      @length = length
    end

    # @return [String] the way of the fluid to each far end, as height over length
    def heights
      ways = Sandbag::Airway::Way.all(@sheet)
      lines = ways.each_with_index.map do |way, index|
        SvgPlot::Line.new(label: way.end_label, dash: SvgPlot::DASHES[index % SvgPlot::DASHES.size],
          points: way.profile.points.map { |point| [point.at_mm, point.height_mm] })
      end
      points = lines.flat_map(&:points)
      SvgPlot.new(across: length_axis("along the line", points.map(&:first)),
        up: length_axis("height", points.map(&:last)), lines: lines, named_at: NAMED_AT).svg
    end

    # @return [String] effort and travel of the usual cylinders; those that cannot be used are left out
    def sizing
      rows = Sandbag::Choose::Sizing.new(@sheet).to_h[:rows].select { |row| row[:rejected].empty? || row[:fitted] }
      dots = rows.sort_by { |row| row[:travel_mm] }.map do |row|
        label = format("%g × %g%s", row[:bore_mm], row[:push_offset_mm], row[:fitted] ? ", fitted" : "")
        SvgPlot::Dot.new(at: [row[:travel_mm], row[:force_n]], label: label)
      end
      SvgPlot.new(across: length_axis("#{noun} travel", dots.map { |dot| dot.at.first }),
        up: SvgPlot::Axis.round("effort, N", dots.map { |dot| dot.at.last }, :round.to_proc), dots: dots).svg
    end

    # @param points [Array<Hash>] of Feel::History: what signed jobs found
    # @return [String, nil] travel lost to air, from the first job to the last; nil of fewer than two
    def levers(points)
      read = points.filter_map { |point| [Date.parse(point["at"]).jd, point["cost_mm"]] if point["cost_mm"] }
      return if read.size < 2
      days = read.map(&:first)
      SvgPlot.new(across: SvgPlot::Axis.new(label: "", least: days.first - MARGIN_DAYS, most: days.last + MARGIN_DAYS,
        shown: ->(day) { Date.jd(day.round).strftime("%-d %b %y") }),
        up: length_axis("lost", read.map(&:last) + [0]),
        lines: [SvgPlot::Line.new(label: "#{noun} travel lost to air", points: read)],
        dots: read.map { |at| SvgPlot::Dot.new(at: at) }).svg
    end
    # Before the first job and after the last.
    MARGIN_DAYS = 20

    private

    # Lines fall from the left: they are named at the right.
    NAMED_AT = 340.0

    def noun
      @sheet.kind.control["noun"]
    end

    def length_axis(label, values)
      decimals = (values.max - values.min < 10) ? 1 : 0
      SvgPlot::Axis.round("#{label}, #{@length["unit"]}", values,
        ->(mm) { format("%.#{decimals}f", mm * @length["factor"]) })
    end
  end
end
