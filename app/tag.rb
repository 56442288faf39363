# frozen_string_literal: true

module App
  # A tag to hang on a machine that is not released: do not use, why, since when, and who says so.
  class Tag
    # @param head [Hash] of the job, by string keys; shop_name [String]
    # Refuses a job on which nothing keeps the machine.
    def initialize(head, shop_name)
      @head, @shop_name = Glyphs.in([head, shop_name])
      return if why
      raise Sandbag::Refusal.at("", "this machine may be used: nothing holds it", "a job that is on hold or stopped")
    end

    # @return [String] PDF bytes, one page
    def render
      pdf = Paper.open("Do not use, #{title}", Time.iso8601(since), JSON.generate([@head, @shop_name]))
      pdf.text "DO NOT USE", size: 64, style: :bold
      pdf.text title, size: 28, style: :bold
      pdf.move_down 16
      pdf.text why, size: 22
      pdf.move_down 16
      pdf.text "Since #{Sandbag::Day.moment(since)}#{by}", size: 16
      pdf.text "Job #{@head["id"]}. #{@shop_name}", size: 12, color: Paper::PALE
      Paper.finish(pdf)
    end

    private

    def title
      "#{@head["machine"]["name"]}: #{@head["circuit"]["name"]}"
    end

    def why
      @head.dig("on_hold", "reason") || @head["stop"] || @head["do_not_use"]
    end

    def since
      @head.dig("on_hold", "at") || @head["opened_at"]
    end

    def by
      name = @head.dig("on_hold", "name")
      name ? ", by #{name}" : ""
    end
  end
end
