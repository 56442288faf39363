# frozen_string_literal: true

require "cgi"

module App
  # A plot on paper, black on white: lines told apart by their dashes, and dots.
  class SvgPlot
    WIDTH = 480.0
    HEIGHT = 250.0
    LEFT = 48.0
    BOTTOM = 36.0
    TOP = 12.0
    RIGHT = 26.0
    TICKS = 5
    DASHES = [nil, [6, 4], [1, 4], [9, 3, 2, 3]].freeze

    # @attr label [String]; points [Array<Array(Float, Float)>] across and up; dash [Array<Integer>, nil]
    Line = Struct.new(:label, :points, :dash, keyword_init: true)

    # @attr at [Array(Float, Float)]; label [String, nil]
    Dot = Struct.new(:at, :label, keyword_init: true)

    # What is along a side: in words, from where to where, how a figure on it is written, and how far apart ticks are;
    # nil for a fifth of it.
    Axis = Struct.new(:label, :least, :most, :shown, :step, keyword_init: true) do
      # @param values [Array<Float>] that have to be on it
      # @return [Axis] between round figures, a round figure apart
      def self.round(label, values, shown)
        least, most = values.minmax
        rough = [(most - least) / TICKS, 1e-6].max
        power = 10.0**Math.log10(rough).floor
        step = [1, 2, 5, 10].map { |each| each * power }.find { |each| each >= rough }
        new(label: label, least: (least / step).floor * step, most: ((most / step).floor + 1) * step, shown: shown,
          step: step)
      end

      def share(value)
        (value - least) / (most - least).to_f
      end

      def ticks
        apart = step || (most - least) / TICKS.to_f
        (0..((most - least) / apart).round).map { |tick| least + apart * tick }
      end
    end

    attr_reader :across, :up

    # @param across, up [Axis]; lines [Array<Line>]; dots [Array<Dot>]
    # @param named_at [Float] from the left, where lines are named
    def initialize(across:, up:, lines: [], dots: [], named_at: LEFT + 10)
      @named_at = named_at
      @across = across
      @up = up
      @lines = lines
      @dots = dots
    end

    # @return [Float] from the left
    def x(value)
      LEFT + across.share(value) * (WIDTH - LEFT - RIGHT)
    end

    # @return [Float] from the bottom up
    def y(value)
      BOTTOM + up.share(value) * (HEIGHT - BOTTOM - TOP)
    end

    # @return [String]
    def svg
      parts = [frame, *ticks, *@lines.each_with_index.map { |line, place| line_svg(line, place) },
        *@dots.each_with_index.map { |dot, place| dot_svg(dot, place) }]
      %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{WIDTH.round} #{HEIGHT.round}" width="#{WIDTH.round}" ) +
        %(height="#{HEIGHT.round}" font-family="sans-serif" font-size="11">) +
        %(<rect width="100%" height="100%" fill="#fff"/>) +
        parts.join + "</svg>\n"
    end

    private

    def frame
      %(<path d="M#{LEFT} #{TOP}V#{HEIGHT - BOTTOM}H#{WIDTH - RIGHT}" fill="none" stroke="#000"/>) +
        text(WIDTH - RIGHT, HEIGHT - 4, "end", across.label) + text(LEFT + 6, TOP + 8, "start", up.label)
    end

    def ticks
      up.ticks.map { |value| text(LEFT - 6, HEIGHT - y(value) + 4, "end", up.shown.call(value)) } +
        across.ticks.map { |value| text(x(value), HEIGHT - BOTTOM + 14, "middle", across.shown.call(value)) }
    end

    def text(left, top, anchor, said)
      escaped = CGI.escapeHTML(said.to_s)
      %(<text x="#{left.round(1)}" y="#{top.round(1)}" text-anchor="#{anchor}">#{escaped}</text>)
    end

    def place(point)
      "#{x(point.first).round(1)} #{(HEIGHT - y(point.last)).round(1)}"
    end

    def line_svg(line, index)
      dash = %( stroke-dasharray="#{line.dash.join(" ")}") if line.dash
      style = %(fill="none" stroke="#000" stroke-width="1.6"#{dash})
      top = TOP + 26 + index * 15
      %(<path d="M#{line.points.map { |point| place(point) }.join("L")}" #{style}/>) +
        %(<path d="M#{@named_at} #{top}h28" #{style}/>) + text(@named_at + 34, top + 4, "start", line.label)
    end

    # Names on either side in turn, so that those of neighbours do not lie on one another.
    def dot_svg(dot, place)
      left, top = x(dot.at.first), HEIGHT - y(dot.at.last)
      circle = %(<circle cx="#{left.round(1)}" cy="#{top.round(1)}" r="3" fill="#fff" stroke="#000"/>)
      return circle unless dot.label
      circle + (place.even? ? text(left + 6, top - 5, "start", dot.label) : text(left - 6, top + 12, "end", dot.label))
    end
  end
end
