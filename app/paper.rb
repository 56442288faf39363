# frozen_string_literal: true

require "prawn"
require "prawn/table"

module App
  # An A4 document in the shop's type and ink.
  module Paper
    FONTS = "#{__dir__}/fonts"
    INK = "14201F"
    PALE = "5B6B69"
    RULE = "C9D2D0"
    MARGIN = 48
    # Rows of a table: ruled off below, aligned with the text above.
    ROW = {borders: [:bottom], border_color: RULE, border_width: 0.5, padding: [3, 6, 3, 0]}.freeze

    # An empty square to tick by hand, and one that is ticked.
    OPEN = "[  ]"
    TICKED = "[x]"

    # @param title [String]; at [Time] printed into the file
    # @param text [String] everything that will be printed: says which further fonts it takes
    # @return [Prawn::Document]
    def self.open(title, at, text)
      Prawn::Document.new(page_size: "A4", margin: MARGIN, info: {Title: title, CreationDate: at}).tap do |pdf|
        pdf.font_families.update("Card" => {normal: "#{FONTS}/Regular.ttf", bold: "#{FONTS}/Bold.ttf"})
        further = Glyphs.fonts_for(text).to_h { |path| [File.basename(path, ".ttf"), {normal: path, bold: path}] }
        pdf.font_families.update(further)
        pdf.fallback_fonts = further.keys
        pdf.font "Card", size: 10
        pdf.fill_color INK
      end
    end

    # The head of a sheet: whose it is, what it is, and of which job and day.
    def self.head(pdf, shop_name, title, line)
      pdf.text shop_name, size: 9, color: PALE unless shop_name.empty?
      pdf.text title, size: 18, style: :bold
      pdf.text line, size: 9, color: PALE
    end

    # @return [String] PDF bytes, the pages numbered
    def self.finish(pdf)
      pdf.number_pages "<page> / <total>", at: [pdf.bounds.right - 60, 0], align: :right, width: 60, size: 8
      pdf.render
    end
  end
end
