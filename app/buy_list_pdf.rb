# frozen_string_literal: true

module App
  # What has to be bought for a job, as a sheet for the counter: a block for each supplier.
  class BuyListPdf
    UNNAMED = "Supplier not on record"

    # @param rows [Array<Hash>] of Sandbag::Choose::Supplies, as JSON has them
    # @param job [Hash] title and id of the job; shop_name [String]; currency [String]; at [String]
    def initialize(rows, job:, shop_name:, currency:, at:)
      @rows, @title, @shop_name = Glyphs.in([rows, job.fetch(:title), shop_name])
      @job_id = job.fetch(:id)
      @currency = currency
      @at = at
    end

    # @return [String] PDF bytes
    def render
      @pdf = Paper.open("Buy list, #{@title}", Time.iso8601(@at), JSON.generate([@title, @rows, @shop_name]))
      Paper.head(@pdf, @shop_name, "Buy list: #{@title}",
        "Job #{@job_id}, #{Sandbag::Day.of(@at)}. Take the old parts along.")
      @pdf.move_down 12
      @pdf.text "Nothing is short.", size: 12 if @rows.empty?
      named, unnamed = @rows.partition { |row| row["supplier"] }
      named.group_by { |row| row["supplier"] }.sort.each { |supplier, rows| section(supplier, rows) }
      section(UNNAMED, unnamed) if unnamed.any?
      Paper.finish(@pdf)
    end

    private

    def section(supplier, rows)
      @pdf.move_down 6
      @pdf.text supplier, size: 12, style: :bold
      lines = rows.map { |row| [Paper::OPEN, row["label"], said(row), amount(row), price(row)] }
      @pdf.table(lines, width: @pdf.bounds.width, column_widths: {0 => 22, 1 => 150, 3 => 60, 4 => 90},
        cell_style: PullListPdf::ROW) { |table| table.column(2).text_color = Paper::PALE }
    end

    def said(row)
      [row["detail"], row["like"] && "last: #{row["like"]}"].compact.join(". ")
    end

    def amount(row)
      [format("%g", row["count"].ceil), row["unit"]].reject(&:empty?).join(" ")
    end

    def price(row)
      row["price_minor"] ? format("%.2f %s", row["price_minor"] / 100.0, @currency) : ""
    end
  end
end
