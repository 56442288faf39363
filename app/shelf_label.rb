# frozen_string_literal: true

module App
  # A label to stick on one thing of the shelf: an opened bottle with its days, a kit with what is in it and which job
  # it is for.
  class ShelfLabel
    # @param item [Hash] of the shelf with its bottle's state; jobs [Hash{String => String}] id of a job that it is
    #   promised to => its title; both by string keys; display [Hash] units of the shop; at [String]
    def initialize(item, jobs, shop_name:, display:, at:)
      @item, @jobs, @shop_name = Glyphs.in([item, jobs, shop_name])
      @display = display
      @at = at
    end

    # @return [String] PDF bytes, one page
    def render
      pdf = Paper.open("Label, #{@item["name"]}", Time.iso8601(@at), JSON.generate([@item, lines, @shop_name]))
      pdf.text @item["name"], size: 26, style: :bold
      lines.each { |line| pdf.text line, size: 16 }
      pdf.move_down 8
      pdf.text [@shop_name, @item["place"]].reject { |text| text.to_s.empty? }.join(". "), size: 11, color: Paper::PALE
      Paper.finish(pdf)
    end

    private

    def lines
      [*bottle, *kit, *@jobs.map { |id, title| "For job #{id}: #{title}" }]
    end

    def bottle
      state = @item["bottle"] or return []
      fluid = Sandbag::Tables.find("fluids", @item["fields"]["fluid"])["label"]
      [
        fluid,
        @item["fields"]["batch"]&.then { |batch| "Batch: #{batch}" },
        @item["opened_on"]&.then { |day| "Opened: #{day_said(day)}" },
        state["use_by"]&.then { |day| "Use by: #{day_said(day)}" },
        state["discard_on"]&.then { |day| "Throw away on: #{day_said(day)}" },
        ("Sealed" unless @item["opened_on"])
      ].compact
    end

    def kit
      return [] unless @item["kind"] == "kit"
      fields = @item["fields"]
      contents = fields["contents"].map { |id, line| part_said(id, line) }
      [
        "#{Sandbag::Cylinder::Construction.find(fields["construction"]).label}, " \
          "#{Sandbag::Said.in(Sandbag::Said.mm(fields["bore"], "g"), @display)}",
        "Holds: #{contents.join(", ")}"
      ]
    end

    def part_said(id, line)
      label = Sandbag::Tables.find("kit_items", id)["label"]
      count = line["count"].to_i
      [("#{count} ×" if count > 1), label, line["material"]&.then { |material| "(#{material})" }].compact.join(" ")
    end

    def day_said(day)
      Sandbag::Day.of(day)
    end
  end
end
