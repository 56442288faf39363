# frozen_string_literal: true

module App
  # Lever curves on paper: force up, travel across, told apart by their dashes. As an SVG file, or drawn into a PDF.
  class CurvePlot
    # name => what it is called, and its dash
    LINES = {
      "last_good" => ["when it was last good", [1, 4]],
      "before" => ["as it came in", [9, 3, 2, 3]],
      "expected" => ["expected without air", [6, 4]],
      "fitted" => ["fitted to the readings", nil]
    }.freeze

    # @param curve [Hash] of lines by name and readings, each [[force N, travel mm], …]; nil lines are left out
    # @param noun [String] lever or pedal; length [Hash] unit and factor, by string keys
    def initialize(curve, noun, length)
      @lines = LINES.filter_map { |name, (label, dash)| line(label, curve[name], dash) if curve[name]&.any? }
      @readings = (curve["readings"] || []).map(&:reverse)
      all = @lines.flat_map(&:points) + @readings
      @plot = SvgPlot.new(across: travel(all.map(&:first), noun, length), up: force(all.map(&:last)), lines: @lines,
        dots: @readings.map { |at| SvgPlot::Dot.new(at: at) })
    end

    # @return [String]
    def svg
      @plot.svg
    end

    # Draws at the cursor, and moves it below.
    # @param pdf [Prawn::Document]
    def draw(pdf)
      pdf.start_new_page if pdf.cursor < SvgPlot::HEIGHT + 20
      pdf.bounding_box([0, pdf.cursor], width: SvgPlot::WIDTH, height: SvgPlot::HEIGHT) do
        axes(pdf)
        @lines.each_with_index { |line, place| stroke(pdf, line, place) }
        @readings.each { |reading| pdf.stroke_circle(at(reading), 2.5) }
      end
      pdf.undash
      pdf.move_down 6
    end

    private

    def line(label, points, dash)
      SvgPlot::Line.new(label: label, points: points.map(&:reverse), dash: dash)
    end

    def travel(travels, noun, length)
      least, most = travels.minmax
      SvgPlot::Axis.new(label: "#{noun} travel, #{length["unit"]}", least: [(least || 0) - 1, 0].max,
        most: (most || 1) + 1, shown: ->(mm) { format("%.1f", mm * length["factor"]) })
    end

    def force(forces)
      most = forces.max || 1
      step = 10**Math.log10(most).floor
      SvgPlot::Axis.new(label: "force, N", least: 0, most: (most / step.to_f).ceil * step.to_f, shown: :round.to_proc)
    end

    def at(point)
      [@plot.x(point.first), @plot.y(point.last)]
    end

    def axes(pdf)
      left, right, bottom, top = SvgPlot::LEFT, SvgPlot::WIDTH - SvgPlot::RIGHT, SvgPlot::BOTTOM,
        SvgPlot::HEIGHT - SvgPlot::TOP
      pdf.line_width = 0.8
      pdf.stroke_color Paper::INK
      pdf.stroke_line([left, top], [left, bottom])
      pdf.stroke_line([left, bottom], [right, bottom])
      write(pdf, @plot.up) { |force| [left - 24, @plot.y(force) - 3] }
      write(pdf, @plot.across) { |travel| [@plot.x(travel) - 8, bottom - 12] }
      pdf.draw_text(@plot.up.label, at: [left + 6, top - 8], size: 8)
      pdf.draw_text(@plot.across.label, at: [right - 90, 4], size: 8)
    end

    def write(pdf, axis)
      axis.ticks.each { |value| pdf.draw_text(axis.shown.call(value).to_s, at: yield(value), size: 8) }
    end

    def stroke(pdf, line, place)
      line.dash ? pdf.dash(line.dash) : pdf.undash
      pdf.line_width = 1.2
      line.points.map { |point| at(point) }.each_cons(2) { |from, to| pdf.stroke_line(from, to) }
      left, top = SvgPlot::LEFT, SvgPlot::HEIGHT - SvgPlot::TOP - 26 - place * 13
      pdf.stroke_line([left + 10, top], [left + 38, top])
      pdf.undash
      pdf.draw_text(line.label, at: [left + 44, top - 3], size: 8)
    end
  end
end
