# frozen_string_literal: true

module Sandbag
  # Figures inside sentences. A sentence of the core carries each figure with its dimension instead of rendered
  # millimetres; whoever shows the sentence has the figures written in the units of the shop, so that a shop that
  # reads inches reads them in every sentence, on the card and in a file.
  #
  #   "needs #{Said.mm(12.3)} of stroke"  →  Said.in(sentence, shop.display)  →  "needs 0.484 in of stroke"
  module Said
    # Two characters that nobody types hold a figure: dimension, value, decimals in the core's unit, and whether the
    # unit is left out.
    OPEN = "\u{E000}"
    CLOSE = "\u{E001}"
    FIGURE = /#{OPEN}([a-z_]+);([-+.\de]+);(\d|g);(u|b)#{CLOSE}/
    # "g": as many decimals as the value needs, up to this.
    MOST_DECIMALS = 3

    # @param decimals [Integer, String] in the core's unit; "g" as many as needed
    # @param bare [Boolean] without its unit
    # @return [String] a figure to be put into a sentence
    def self.figure(value, dimension, decimals, bare: false)
      "#{OPEN}#{dimension};#{value.to_f};#{decimals};#{bare ? "b" : "u"}#{CLOSE}"
    end

    def self.mm(value, decimals = 1, bare: false)
      figure(value, :length, decimals, bare: bare)
    end

    def self.ml(value, decimals = 0, bare: false)
      figure(value, :volume, decimals, bare: bare)
    end

    def self.n(value, decimals = 0, bare: false)
      figure(value, :force, decimals, bare: bare)
    end

    # @param text [String] one sentence or a whole document of them
    # @param display [Hash{String => Hash}] dimension => unit, factor, extra_decimals, as Shop#display has it
    # @return [String] with every figure written out
    def self.in(text, display)
      return text unless text.include?(OPEN)
      text.gsub(FIGURE) { write($2.to_f, display[$1] || core($1), $3, $4 == "b") }
    end

    # @return [String] in the core's own units
    def self.plain(text)
      self.in(text, {})
    end

    def self.core(dimension)
      {unit: Units.unit(dimension.to_sym), factor: 1, extra_decimals: 0}
    end

    def self.write(value, shown, decimals, bare)
      places = [((decimals == "g") ? MOST_DECIMALS : decimals.to_i) + shown[:extra_decimals], 0].max
      number = format("%.#{places}f", value * shown[:factor])
      number = number.sub(/\.?0+\z/, "") if decimals == "g" && number.include?(".")
      (bare || shown[:unit].empty?) ? number : "#{number} #{shown[:unit]}"
    end
    private_class_method :core, :write
  end
end
