# frozen_string_literal: true

module App
  # The photos of a job card with their marks, before and after side by side.
  class JobCardPhotos
    # A third of the page's height.
    HEIGHT = 220
    GUTTER = 12
    MARK = "D5261B"
    MARK_WIDTH = 2.5
    # Length of an arrow's barbs, and their angle to its shaft.
    BARB = 12
    BARB_ANGLE = Math::PI / 7

    # @param pdf [Prawn::Document]
    # @param jpeg [#call] takes the id of a photo; gives its JPEG bytes, nil where they are missing
    def initialize(pdf, jpeg)
      @pdf = pdf
      @jpeg = jpeg
      freeze
    end

    # @param photos [Array<Hash>] see JobCardContent
    def draw(photos)
      rows(with_bytes(photos)).each do |row|
        @pdf.start_new_page if @pdf.cursor < HEIGHT + 30
        @pdf.move_down 10
        top = @pdf.cursor
        width = (@pdf.bounds.width - GUTTER * (row.size - 1)) / row.size
        foot = row.each_with_index.map { |photo, place| picture(photo, [(width + GUTTER) * place, top], width) }.min
        @pdf.move_cursor_to foot
      end
    end

    private

    # @return [Array<Hash>] those that are there, each with its bytes
    def with_bytes(photos)
      photos.map { |photo| {**photo, "jpeg" => @jpeg.call(photo["photo"])} }.select { |photo| photo["jpeg"] }
    end

    # A photo that shows another one once more stands on its right. On cards of before December 2026 none has an entry.
    def rows(photos)
      entries = photos.filter_map { |photo| photo["entry"] }
      later, first = photos.partition { |photo| entries.include?(photo["again"]) }
      first.flat_map { |photo| [photo, *later.select { |each| each["again"] == photo["entry"] }].each_slice(2).to_a }
    end

    # @return [Float] where its foot is
    def picture(photo, at, width)
      left, top = at
      @pdf.fill_color Paper::PALE
      @pdf.text_box photo["what"], at: at, width: width, height: 12, size: 9, overflow: :ellipsis
      @pdf.fill_color Paper::INK
      drawn = @pdf.image(StringIO.new(photo["jpeg"]), at: [left, top - 14], fit: [width, HEIGHT])
      Array(photo["marks"]).each { |mark| draw_mark(mark, [left, top - 14], drawn.scaled_width, drawn.scaled_height) }
      top - 14 - drawn.scaled_height
    end

    def draw_mark(mark, corner, width, height)
      from, to = [%w[x y], %w[to_x to_y]].map do |x, y|
        [corner[0] + mark[x] * width, corner[1] - mark[y] * height]
      end
      @pdf.stroke_color MARK
      @pdf.line_width MARK_WIDTH
      (mark["shape"] == "circle") ? circle(from, to) : arrow(from, to)
      @pdf.stroke_color Paper::INK
      @pdf.line_width 1
    end

    def circle(middle, rim)
      @pdf.stroke_circle middle, Math.hypot(rim[0] - middle[0], rim[1] - middle[1])
    end

    def arrow(tail, tip)
      back = Math.atan2(tail[1] - tip[1], tail[0] - tip[0])
      barbs = [back + BARB_ANGLE, back - BARB_ANGLE]
      @pdf.stroke do
        @pdf.line tail, tip
        barbs.each { |angle| @pdf.line tip, [tip[0] + BARB * Math.cos(angle), tip[1] + BARB * Math.sin(angle)] }
      end
    end
  end
end
