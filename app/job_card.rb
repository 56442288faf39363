# frozen_string_literal: true

module App
  # A job card on A4.
  class JobCard
    # @param content [Hash] of JobCardContent
    # @yieldparam photo [String] id of a photo; @yieldreturn [String, nil] its JPEG bytes
    def initialize(content, &jpeg)
      @content = Glyphs.in(content)
      @whole = Glyphs.whole?(JSON.generate(content))
      @jpeg = jpeg
    end

    # @return [String] PDF bytes
    def render
      @pdf = Paper.open("Job card, #{@content["title"]}", Time.iso8601(@content["opened_at"]), JSON.generate(@content))
      heading
      @content["sections"].each { |title, rows| section(title, rows) }
      curve
      pictures
      closing
      Paper.finish(@pdf)
    end

    private

    def heading
      @pdf.text @content["shop"], size: 9, color: Paper::PALE unless @content["shop"].empty?
      @pdf.text @content["title"], size: 20, style: :bold
      @pdf.text @content["standing"], size: 11
      @pdf.text "Job #{@content["job"]}, opened #{Sandbag::Day.moment(@content["opened_at"])}", size: 9,
        color: Paper::PALE
      @pdf.move_down 12
    end

    def section(title, rows)
      return if rows.empty?
      @pdf.move_down 8
      @pdf.text title, size: 12, style: :bold
      @pdf.move_down 3
      @pdf.table(rows, width: @pdf.bounds.width, column_widths: {0 => 170}, cell_style: Paper::ROW) do |table|
        table.column(0).text_color = Paper::PALE
      end
    end

    def curve
      plain = @content["curve"]
      return unless plain
      @pdf.move_down 10
      CurvePlot.new(plain, plain["noun"], plain["length"]).draw(@pdf)
    end

    def pictures
      JobCardPhotos.new(@pdf, @jpeg).draw(@content["photos"])
    end

    def closing
      @pdf.move_down 16
      @pdf.text "The machine's own service information and local rules come first. First ride slow, on clear ground. " \
                  "Look at every joint and the level again after 24 h and after the first ride.",
        size: 9,
        color: Paper::PALE
      unless @whole
        @pdf.text "Characters that no font here has are printed as #{Glyphs::NONE}.", size: 9, color: Paper::PALE
      end
    end
  end
end
