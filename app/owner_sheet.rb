# frozen_string_literal: true

module App
  # A page for the owner in plain words: what was done, what will feel different, what to watch, when to come back, and
  # the first ride (docs/trade.md 9.2).
  class OwnerSheet
    # @param head [Hash] of the job; ask, feel, close [Hash] what the stages show; length [Hash] unit and factor of
    #   the shop; all by string keys
    def initialize(head, ask, feel, close, shop_name, length)
      @length = length
      @head, @ask, @feel, @close, @shop_name = Glyphs.in([head, ask, feel, close, shop_name])
    end

    # @return [String] PDF bytes, one page
    def render
      said = sections
      @pdf = Paper.open("For the owner, #{title}", Time.iso8601(@head["closed_at"] || @head["opened_at"]),
        JSON.generate([@head, said, @shop_name]))
      @pdf.text @shop_name, size: 10, color: Paper::PALE unless @shop_name.to_s.empty?
      @pdf.text title, size: 22, style: :bold
      @pdf.text standing, size: 11, color: Paper::PALE
      said.each { |name, lines| section(name, lines) }
      Paper.finish(@pdf)
    end

    private

    def title
      "#{@head["machine"]["name"]}: #{@head["circuit"]["name"]}"
    end

    def standing
      return "This machine is not released. Do not use it." unless @head["signed"]
      "Released by #{@close["signed_by"]} on #{Sandbag::Day.of(@head["closed_at"])}"
    end

    # @return [Array<Array(String, Array<String>)>]
    def sections
      [
        ["What was done", done],
        ["What will feel different", felt],
        ["What to watch", watched],
        ["When to come back", again],
        ["The first ride", lines("ride")]
      ].reject { |_, lines| lines.empty? }
    end

    def done
      [
        @ask["complaint"] && "You said: “#{@ask["complaint"]}”",
        *(@close["done"] || planned),
        verdict
      ].compact
    end

    # Jobs that were signed before their own entries were told.
    def planned
      route = Sandbag::Job::Route.find(@ask["route"])
      route ? ["#{route.label}. #{route.does}"] : []
    end

    def verdict
      found = @feel && (@feel["lift"] || @feel["verdict"])
      found && found["why"]
    end

    def felt
      return [] unless @feel
      normal = (@feel["normal"] || []).map { |state| "#{state["label"]}: #{state["says"]}" }
      changed = [sooner, *normal].compact
      changed.empty? ? ["Nothing that you should notice. If you do notice something, tell us."] : changed
    end

    # Travel that air cost before and does not any more is worth a word from here on, mm.
    WORTH_MM = 1.0

    def sooner
      before, now = [@feel["before"], @feel["verdict"]].map { |verdict| verdict && verdict["cost_mm"] }
      return unless before && now && before - now > WORTH_MM
      "At a hard pull it stops about #{length(before - now)} sooner than when you brought it."
    end

    def length(mm)
      inches = @length["unit"] == "in"
      "#{format(inches ? "%.2f" : "%.0f", mm * @length["factor"])} #{@length["unit"]}"
    end

    def watched
      level = @close["level"]
      [
        level && "The fluid level: #{level["says"]} A level that falls means worn pads, or a leak.",
        *lines("watch")
      ].compact
    end

    # Jobs that were signed before are told what holds for any fluid.
    def lines(section)
      kind = Sandbag::Circuit::Kind.find(@head["circuit"]["kind"])
      @close.dig("owner", section) || Sandbag::Close::OwnerLines.of(section, kind, nil)
    end

    def again
      @close["rechecks"].map do |row|
        days = row["days"]&.map { |day| Sandbag::Day.of(day) }
        [row["when"], days && "(#{days.join(", ")})", "– #{Sandbag::Wording.inside(row["label"])}"].compact.join(" ")
      end
    end

    def section(name, lines)
      @pdf.move_down 16
      @pdf.text name, size: 14, style: :bold
      lines.each do |line|
        @pdf.move_down 4
        @pdf.text line, size: 12, leading: 2
      end
    end
  end
end
