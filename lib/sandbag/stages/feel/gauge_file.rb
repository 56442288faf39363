# frozen_string_literal: true

require "csv"

module Sandbag
  module Feel
    # A file that a lever gauge wrote: force and travel, or time besides, one reading a line under a header. Read line
    # by line, and whole or not at all.
    class GaugeFile
      # What a column may be called, and the units it may be in; without one, the core's.
      COLUMNS = {
        "force" => {names: /\A(force|load|pull|f)\b/, dimension: :force, limits: -5.0..1500.0},
        "travel" => {names: /\A(travel|displacement|distance|position|x)\b/, dimension: :length, limits: -2.0..300.0},
        "time" => {names: /\A(time|t)\b/, dimension: :time, limits: 0.0..7200.0}
      }.freeze
      MILLISECOND = Rational(1, 1000)
      MOST_ROWS = 250_000
      LEAST_ROWS = 4
      SEPARATORS = [";", "\t", ","].freeze

      # @attr force_n, travel_mm [Array<Float>]; time_s [Array<Float>, nil]
      attr_reader :force_n, :travel_mm, :time_s

      # @param bytes [String] as they came
      # Refuses, naming the line, what is no text, has no header, no force or no travel, an unknown unit, a cell that is
      # no figure or out of range, and time that goes back.
      def initialize(bytes)
        @lines = lines_of(GaugeFile.text(bytes))
        header
        rows
        freeze
      end

      # @return [String] UTF-8, without its byte order mark
      def self.text(bytes)
        raw = bytes.dup.force_encoding(Encoding::BINARY)
        return raw[2..].force_encoding("UTF-16LE").encode("UTF-8") if raw.start_with?("\xFF\xFE".b)
        return raw[2..].force_encoding("UTF-16BE").encode("UTF-8") if raw.start_with?("\xFE\xFF".b)
        raise refusal(1, "this is no text file") if raw.include?("\0".b)
        text = raw.delete_prefix("\xEF\xBB\xBF".b).force_encoding(Encoding::UTF_8)
        text.valid_encoding? ? text : text.force_encoding("Windows-1252").encode("UTF-8", undef: :replace)
      rescue EncodingError
        raise refusal(1, "this is no text file")
      end

      # @return [Refusal]
      def self.refusal(line, what, accepted = "a header with force_n and travel_mm, then one reading a line")
        Refusal.at("file", "line #{line}: #{what}", accepted)
      end

      private

      SAYS_NOTHING = /\A\s*(?:#|\z)/

      # @return [Array<Array(String, Integer)>] lines that say something, each with its number
      def lines_of(text)
        lines = text.lines(chomp: true).each_with_index.filter_map do |line, index|
          [line, index + 1] unless line.match?(SAYS_NOTHING)
        end
        raise GaugeFile.refusal(1, "the file is empty") if lines.empty?
        if lines.size - 1 > MOST_ROWS
          raise GaugeFile.refusal(MOST_ROWS + 2, "too many readings", "up to #{MOST_ROWS}")
        end
        lines
      end

      def header
        line, number = @lines.first
        @separator = SEPARATORS.max_by { |separator| line.count(separator) }
        cells = line.split(@separator).map { |cell| cell.delete('"').strip.downcase }
        @places = COLUMNS.keys.to_h { |name| [name, place(cells, name, number)] }.compact
        lacking = %w[force travel] - @places.keys
        return if lacking.empty?
        raise GaugeFile.refusal(number, "no column is called #{lacking.join(" or ")}")
      end

      # @return [Array(Integer, Rational), nil] which cell, and its factor to the core's unit
      def place(cells, name, number)
        plain = cells.map { |cell| cell.tr("_", " ") }
        found = plain.each_index.select { |index| plain[index].match?(COLUMNS[name][:names]) }
        raise GaugeFile.refusal(number, "#{found.size} columns are called #{name}", "one") if found.size > 1
        found.first && [found.first, factor(plain[found.first], name, number)]
      end

      # "force n", "force (n)", "travel [mm]", "time"
      def factor(cell, name, number)
        unit = cell.sub(COLUMNS[name][:names], "").delete("()[]").strip
        return 1 if unit.empty?
        return MILLISECOND if name == "time" && unit == "ms"
        units = Units::DIMENSIONS.fetch(COLUMNS[name][:dimension]).transform_keys(&:downcase)
        units.fetch(unit) do
          raise GaugeFile.refusal(number, "#{name} is in #{Wording.quoted(unit)}, which is not known",
            units.keys.join(", "))
        end
      end

      def rows
        cells = @lines.drop(1).map { |line, number| cells_of(line, number) }
        taken = @places.to_h { |name, (index, factor)| [name, column(cells, name, index, factor)] }
        @force_n, @travel_mm, @time_s = taken.values_at("force", "travel", "time")
        raise GaugeFile.refusal(@lines.last.last, "#{@force_n.size} readings are too few", "four or more") if
          @force_n.size < LEAST_ROWS
        back = @time_s&.each_cons(2)&.find_index { |one, next_one| next_one < one }
        raise GaugeFile.refusal(@lines[back + 2].last, "time goes back", "each later than the one before") if back
      end

      # A separator inside quotation marks separates nothing.
      def cells_of(line, number)
        return line.split(@separator) unless line.include?('"')
        CSV.parse_line(line, col_sep: @separator)
      rescue CSV::MalformedCSVError
        raise GaugeFile.refusal(number, "this line cannot be read: a quotation mark is not closed",
          "a figure in quotation marks, or without them")
      end

      def column(cells, name, index, factor)
        low, high = COLUMNS[name][:limits].minmax
        cells.each_with_index.map do |row, place|
          value = (figure(row[index]) || refuse_figure(row[index], name, place)) * factor
          refuse_range(value, name, place) if value < low || value > high
          value.negative? ? 0.0 : value.to_f
        end
      end

      def refuse_figure(cell, name, place)
        raise GaugeFile.refusal(@lines[place + 1].last,
          "#{name} is #{Wording.quoted(cell.to_s.strip)}, which is no figure", meant(cell.to_s))
      end

      # 1,234.5 is asked about: the comma may stand before thousands, or between two figures.
      def meant(cell)
        bare = cell.delete('" ')
        bare.match?(/\A\d{1,3}(,\d{3})+(\.\d+)?\z/) ? "#{bare.delete(",")}, or two cells" : "a figure"
      end

      def refuse_range(value, name, place)
        limits = COLUMNS[name][:limits]
        raise GaugeFile.refusal(@lines[place + 1].last, "#{name} of #{format("%g", value)} is out of range",
          "#{limits.begin.to_i} to #{limits.end.to_i} #{Units.unit(COLUMNS[name][:dimension])}")
      end

      # Quotes, a decimal comma, and what Ruby would take for a figure and nobody else does.
      ODD = /["xX_,]/

      # @return [Float, nil]
      def figure(cell)
        cell = plain(cell) if cell&.match?(ODD)
        Float(cell, exception: false) if cell
      end

      def plain(cell)
        bare = cell.delete('"')
        bare = bare.tr(",", ".") unless @separator == ","
        bare unless bare.match?(ODD)
      end
    end
  end
end
