# frozen_string_literal: true

module App
  # What one person has done of the lessons, as a PDF to print and sign.
  class LearnerSheet
    WIDTHS = {0 => 24, 1 => 150, 3 => 60, 4 => 110}.freeze

    # @param name [String]; path [Array<Hash>] of Sandbag::Rig::Learner, as JSON has it; at [Time]
    def initialize(name:, path:, shop_name:, at:)
      @name, @path, @shop_name = Glyphs.in([name, path, shop_name])
      @at = at
    end

    # @return [String] PDF bytes
    def render
      pdf = Paper.open("Practice, #{@name}", @at, JSON.generate([@name, @path, @shop_name]))
      Paper.head(pdf, @shop_name, "Practice: #{@name}", standing)
      pdf.move_down 12
      pdf.table(rows, width: pdf.bounds.width, column_widths: WIDTHS, header: true, cell_style: Paper::ROW) do |table|
        table.row(0).font_style = :bold
        table.column(2).text_color = Paper::PALE
      end
      pdf.move_down 36
      pdf.text "Seen by: ______________________________   Day: ________________"
      Paper.finish(pdf)
    end

    private

    def standing
      passed = @path.count { |lesson| lesson["passed"] }
      "On #{Sandbag::Day.said(@at.to_date)}, #{passed} of #{@path.size} lessons are passed: done " \
        "#{Sandbag::Rig::Learner::TIMES} times in a row without a slip, on a simulated circuit."
    end

    def rows
      [["", "Lesson", "Teaches", "Tries", "Passed"]] + @path.map do |lesson|
        mark = lesson["passed"] ? Paper::TICKED : Paper::OPEN
        [mark, lesson["label"], lesson["teaches"], lesson["tries"].to_s, passed(lesson)]
      end
    end

    def passed(lesson)
      passed, alone = lesson.values_at("passed_on", "exam_on").map { |day| day && Sandbag::Day.of(day) }
      [passed, alone && "without help #{alone}"].compact.join("; ")
    end
  end
end
