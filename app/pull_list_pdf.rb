# frozen_string_literal: true

module App
  # The pull list as a PDF to tick at the bench.
  class PullListPdf
    ROW = {**Paper::ROW, padding: [4, 6, 4, 0], size: 9}.freeze

    # @param lines [Array<Hash>] of Sandbag::Choose::Supplies, as JSON has them
    def initialize(title:, job_id:, lines:, shop_name:, at:)
      @title, @lines, @shop_name = Glyphs.in([title, lines, shop_name])
      @job_id = job_id
      @at = at
    end

    # @return [String] PDF bytes
    def render
      @pdf = Paper.open("Pull list, #{@title}", Time.iso8601(@at), JSON.generate([@title, @lines, @shop_name]))
      Paper.head(@pdf, @shop_name, "Pull list: #{@title}",
        "Job #{@job_id}, #{Sandbag::Day.of(@at)}. On the bench before the first screw is turned.")
      @lines.group_by { |line| line["group"] }.each { |group, lines| section(group, lines) }
      Paper.finish(@pdf)
    end

    private

    def section(group, lines)
      @pdf.move_down 12
      @pdf.text group.capitalize, size: 12, style: :bold
      rows =
        lines.map do |line|
          [line["done"] ? Paper::TICKED : Paper::OPEN, line["label"], line["detail"].to_s, amount(line), state(line)]
        end
      @pdf.table(
        rows,
        width: @pdf.bounds.width,
        column_widths: {
          0 => 22,
          1 => 150,
          3 => 55,
          4 => 130
        },
        cell_style: ROW
      ) { |table| table.column(2).text_color = Paper::PALE }
    end

    def amount(line)
      [format("%g", line["count"]), line["unit"]].reject(&:empty?).join(" ")
    end

    def state(line)
      if line["pulled"].any?
        return "pulled: #{line["pulled"].map { |each| each["name"] || each["reason"] || "on hand" }.join(", ")}"
      end
      return "SHORT #{format("%g", line["short"].ceil)} #{line["unit"]}".strip if line["short"].positive?
      line["options"]
        .reject { |option| option["wrong"] }
        .map { |option| [option["name"], option["place"]].compact.join(", ") }
        .first
        .to_s
    end
  end
end
