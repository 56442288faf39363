# frozen_string_literal: true

require "csv"

module App
  # A list that somebody kept in a spreadsheet: a header, then a thing a line; comma, semicolon or tab between.
  class ListFile
    SEPARATORS = [",", ";", "\t"].freeze
    MOST_ROWS = 2000

    # @attr line [Integer] of the file; values [Hash{String => String}] by its column, empty cells left out
    Row = Struct.new(:line, :values, keyword_init: true)

    # @return [Array<Row>]
    attr_reader :rows

    # @param bytes [String]; columns [Hash{String => Array<String>}] column => what its header may be called
    # @param needed [Array<String>] columns without which there is no list
    # Refuses, naming the line, what is no text, has no such header, a column twice, or more lines than a list has.
    def initialize(bytes, columns, needed)
      text = Sandbag::Feel::GaugeFile.text(bytes).gsub(/\r\n?/, "\n")
      @columns = columns
      @needed = needed
      header, *lines = CSV.parse(text, col_sep: separator(text), liberal_parsing: true)
        .each_with_index.map { |cells, index| [cells, index + 1] }.reject { |cells, _| cells.compact.empty? }
      names = names_of(header)
      refuse(MOST_ROWS + 1, "too many lines", "up to #{MOST_ROWS}") if lines.size > MOST_ROWS
      @rows = lines.map { |cells, line| Row.new(line: line, values: values(names, cells)).freeze }.freeze
      freeze
    rescue CSV::MalformedCSVError => fault
      refuse(fault.line_number, "this line cannot be read: a quotation mark is not closed", "a cell in quotation marks")
    end

    private

    def separator(text)
      first = text.lines.find { |line| !line.strip.empty? }.to_s
      SEPARATORS.max_by { |each| first.count(each) }
    end

    def names_of(header)
      refuse(1, "the file is empty", "a header, then a line for each") unless header
      names = header.first.map { |cell| name_of(cell.to_s.strip.downcase) }
      twice = names.compact.tally.find { |_, times| times > 1 }
      refuse(header.last, "two columns are #{twice.first}", "each once") if twice
      missing = @needed - names
      return names if missing.empty?
      refuse(header.last, "no column says #{missing.join(", ")}", @columns.keys.join(", "))
    end

    def name_of(said)
      @columns.find { |name, called| name == said || called.include?(said) }&.first
    end

    def values(names, cells)
      names.zip(cells).filter_map { |name, cell|
        [name, cell.strip] if name && cell && !cell.strip.empty?
      }.to_h
    end

    def refuse(line, what, accepted)
      raise Sandbag::Refusal.at("file", "line #{line}: #{what}", accepted)
    end
  end
end
