# frozen_string_literal: true

module App
  # Lever curves on paper: force up, travel across, black on white, told apart by their dashes. As an SVG file, or drawn
  # into a PDF.
  class CurvePlot
    WIDTH = 480.0
    HEIGHT = 250.0
    LEFT = 48.0
    BOTTOM = 36.0
    TOP = 12.0
    RIGHT = 12.0
    # name => what it is called, and its dash
    LINES = {
      "last_good" => ["when it was last good", [1, 4]],
      "before" => ["as it came in", [9, 3, 2, 3]],
      "expected" => ["expected without air", [6, 4]],
      "fitted" => ["fitted to the readings", nil]
    }.freeze
    TICKS = 5

    # @param curve [Hash] of lines by name and readings, each [[force N, travel mm], …]; nil lines are left out
    # @param noun [String] lever or pedal; length [Hash] unit and factor, by string keys
    def initialize(curve, noun, length)
      @lines = LINES.keys.filter_map { |name| [name, curve[name]] if curve[name]&.any? }.to_h
      @readings = curve["readings"] || []
      @noun = noun
      @length = length
      all = @lines.values.flatten(1) + @readings
      @most_n = nice(all.map(&:first).max || 1)
      @least_mm, @most_mm = all.map(&:last).minmax
      @least_mm = [(@least_mm || 0) - 1, 0].max
      @most_mm = (@most_mm || 1) + 1
    end

    # @return [String]
    def svg
      parts = [frame_svg, *ticks_svg, *@lines.each_with_index.map { |(name, points), place|
        line_svg(name, points, place)
      },
        *@readings.map { |reading| dot_svg(reading) }]
      %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{WIDTH.round} #{HEIGHT.round}" width="#{WIDTH.round}" ) +
        %(height="#{HEIGHT.round}" font-family="sans-serif" font-size="11">) +
        %(<rect width="100%" height="100%" fill="#fff"/>) +
        parts.join + "</svg>\n"
    end

    # Draws at the cursor, and moves it below.
    # @param pdf [Prawn::Document]
    def draw(pdf)
      pdf.start_new_page if pdf.cursor < HEIGHT + 20
      pdf.bounding_box([0, pdf.cursor], width: WIDTH, height: HEIGHT) do
        axes(pdf)
        @lines.each_with_index { |(name, points), place| stroke(pdf, name, points, place) }
        @readings.each { |reading| pdf.stroke_circle(at(reading), 2.5) }
      end
      pdf.undash
      pdf.move_down 6
    end

    private

    def x(travel)
      LEFT + (travel - @least_mm) / (@most_mm - @least_mm) * (WIDTH - LEFT - RIGHT)
    end

    # From the bottom up.
    def y(force)
      BOTTOM + force / @most_n * (HEIGHT - BOTTOM - TOP)
    end

    def at(point)
      [x(point.last), y(point.first)]
    end

    def nice(most)
      step = 10**Math.log10(most).floor
      (most / step.to_f).ceil * step.to_f
    end

    def forces
      (0..TICKS).map { |tick| @most_n * tick / TICKS }
    end

    def travels
      (0..TICKS).map { |tick| @least_mm + (@most_mm - @least_mm) * tick / TICKS }
    end

    def shown(travel)
      format("%.1f", travel * @length["factor"])
    end

    def across
      "#{@noun} travel, #{@length["unit"]}"
    end

    def frame_svg
      %(<path d="M#{LEFT} #{TOP}V#{HEIGHT - BOTTOM}H#{WIDTH - RIGHT}" fill="none" stroke="#000"/>) +
        %(<text x="#{WIDTH - RIGHT}" y="#{HEIGHT - 4}" text-anchor="end">#{across}</text>) +
        %(<text x="#{LEFT + 6}" y="#{TOP + 8}">force, N</text>)
    end

    def ticks_svg
      forces.map { |force| text_svg(LEFT - 6, HEIGHT - y(force) + 4, "end", force.round) } +
        travels.map { |travel| text_svg(x(travel), HEIGHT - BOTTOM + 14, "middle", shown(travel)) }
    end

    def text_svg(left, top, anchor, text)
      %(<text x="#{left.round(1)}" y="#{top.round(1)}" text-anchor="#{anchor}">#{text}</text>)
    end

    def line_svg(name, points, place)
      label, dash = LINES.fetch(name)
      path = points.map { |point| at(point).then { |left, up| "#{left.round(1)} #{(HEIGHT - up).round(1)}" } }.join("L")
      style = %(fill="none" stroke="#000" stroke-width="1.6"#{%( stroke-dasharray="#{dash.join(" ")}") if dash})
      top = TOP + 26 + place * 15
      %(<path d="M#{path}" #{style}/><path d="M#{LEFT + 10} #{top}h28" #{style}/>) +
        text_svg(LEFT + 44, top + 4, "start", label)
    end

    def dot_svg(reading)
      left, up = at(reading)
      %(<circle cx="#{left.round(1)}" cy="#{(HEIGHT - up).round(1)}" r="3" fill="#fff" stroke="#000"/>)
    end

    def axes(pdf)
      pdf.line_width = 0.8
      pdf.stroke_color Paper::INK
      pdf.stroke_line([LEFT, HEIGHT - TOP], [LEFT, BOTTOM])
      pdf.stroke_line([LEFT, BOTTOM], [WIDTH - RIGHT, BOTTOM])
      forces.each { |force| pdf.draw_text(force.round.to_s, at: [LEFT - 24, y(force) - 3], size: 8) }
      travels.each { |travel| pdf.draw_text(shown(travel), at: [x(travel) - 8, BOTTOM - 12], size: 8) }
      pdf.draw_text("force, N", at: [LEFT + 6, HEIGHT - TOP - 8], size: 8)
      pdf.draw_text(across, at: [WIDTH - RIGHT - 90, 4], size: 8)
    end

    def stroke(pdf, name, points, place)
      label, dash = LINES.fetch(name)
      dash ? pdf.dash(dash) : pdf.undash
      pdf.line_width = 1.2
      points.map { |point| at(point) }.each_cons(2) { |from, to| pdf.stroke_line(from, to) }
      top = HEIGHT - TOP - 26 - place * 13
      pdf.stroke_line([LEFT + 10, top], [LEFT + 38, top])
      pdf.undash
      pdf.draw_text(label, at: [LEFT + 44, top - 3], size: 8)
    end
  end
end
