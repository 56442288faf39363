# frozen_string_literal: true

require "ttfunk"

module App
  # Which font has a glyph for what people write: the card's own type, else one of the open fonts bundled beside it,
  # cut by script.
  module Glyphs
    FOLDER = "#{__dir__}/fonts/fallback"
    OWN = "#{__dir__}/fonts/Regular.ttf"
    # Stands for a character that no font here has.
    NONE = "?"
    # Marks that are no glyphs of their own.
    SILENT = /[\p{Cc}\u200b-\u200f\ufe0f]/

    # @param text [String]
    # @return [Array<String>] paths of the fonts it takes beside the card's own
    def self.fonts_for(text)
      strange(text).filter_map { |point| others[point] }.uniq
    end

    # @return [String] the text with what has no glyph replaced
    def self.legible(text)
      plain = text.gsub(SILENT) { |mark| mark.match?(/\s/) ? mark : "" }
      lost = strange(plain).reject { |point| others.key?(point) }
      lost.empty? ? plain : plain.tr(lost.pack("U*").gsub(/[\\^-]/) { |sign| "\\#{sign}" }, NONE)
    end

    # @return the same hash, list or text, every text in it legible
    def self.in(thing)
      case thing
      when Hash then thing.transform_values { |each| self.in(each) }
      when Array then thing.map { |each| self.in(each) }
      when String then legible(thing)
      else thing
      end
    end

    # @return [Boolean] every character has a glyph
    def self.whole?(text)
      strange(text.gsub(SILENT, "")).all? { |point| others.key?(point) }
    end

    # @return [Array<Integer>] code points that the card's own type does not have
    def self.strange(text)
      text.gsub(/\s/, "").each_char.map(&:ord).uniq.reject { |point| own.include?(point) }
    end

    def self.own
      @own ||= points(OWN).to_h { |point| [point, true] }.freeze
    end

    def self.others
      @others ||=
        Dir["#{FOLDER}/*.ttf"]
          .sort
          .each_with_object({}) { |path, found| points(path).each { |point| found[point] ||= path } }
          .freeze
    end

    def self.points(path)
      TTFunk::File
        .open(path)
        .cmap
        .unicode
        .flat_map { |table| table.code_map.select { |_, glyph| glyph.positive? }.keys }
        .uniq
    end
    private_class_method :strange, :own, :others, :points
  end
end
