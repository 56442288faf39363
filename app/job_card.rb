# frozen_string_literal: true

module App
  # The job card as a PDF, on one or two A4 pages.
  class JobCard
    # @param state [Sandbag::Job::State]
    # @param stock [Sandbag::Shelf::Stock] for the names of what was pulled
    # @param photos [Array<Array(String, String)>] what each shows, and its JPEG bytes
    # @param shop_name [String] printed over the card; empty prints nothing
    def initialize(job:, machine:, circuit:, state:, stock:, photos:, shop_name:)
      @job = job
      @machine = machine
      @circuit = circuit
      @state = state
      @stock = stock
      @photos = photos
      @shop_name = shop_name
    end

    # @return [String] PDF bytes
    def render
      @pdf = Paper.open("Job card, #{@machine[:name]}", Time.iso8601(@job[:opened_at]))
      heading
      JobCardSections.of(@state, @stock).each { |title, rows| section(title, rows) }
      pictures
      closing
      Paper.finish(@pdf)
    end

    private

    def heading
      @pdf.text @shop_name, size: 9, color: Paper::PALE unless @shop_name.empty?
      @pdf.text "#{@machine[:name]}: #{@circuit[:name]}", size: 20, style: :bold
      @pdf.text @state.signed? ? "Signed off by #{@state.close.to_h[:signed_by]}, #{date(@job[:closed_at])}" : "Open: waits for #{@state.waits_for}. Do not use.", size: 11
      @pdf.text "Job #{@job[:id]}, opened #{date(@job[:opened_at])}", size: 9, color: Paper::PALE
      @pdf.move_down 12
    end

    def section(title, rows)
      return if rows.empty?
      @pdf.move_down 8
      @pdf.text title, size: 12, style: :bold
      @pdf.move_down 3
      @pdf.table(rows, width: @pdf.bounds.width, column_widths: {0 => 170}, cell_style: {borders: [:bottom], border_color: Paper::RULE, border_width: 0.5, padding: [3, 6, 3, 0]}) do |table|
        table.column(0).text_color = Paper::PALE
      end
    end

    # Fits a photo into the width of the page and a third of its height.
    PHOTO_HEIGHT = 230

    def pictures
      @photos.each do |what, jpeg|
        @pdf.start_new_page if @pdf.cursor < PHOTO_HEIGHT + 30
        @pdf.move_down 10
        @pdf.text what, size: 9, color: Paper::PALE
        @pdf.image StringIO.new(jpeg), fit: [@pdf.bounds.width, PHOTO_HEIGHT]
      end
    end

    def closing
      @pdf.move_down 16
      @pdf.text "The machine's own service information and local rules come first. First ride slow, on clear ground. " \
        "Look at every joint and the level again after 24 h and after the first ride.", size: 9, color: Paper::PALE
    end

    def date(time)
      time.to_s[0, 16].tr("T", " ")
    end
  end
end
