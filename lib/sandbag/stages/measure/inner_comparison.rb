# frozen_string_literal: true

module Sandbag
  module Measure
    # New against old inside a unit: what the kit brings beside what came out, before anything is built (docs/trade.md
    # 2.4, 4.3). A piston or a spring of another variant goes back to the counter, not into the bore.
    class InnerComparison
      # same; differs (open until the right one is there); resolved, with how; kept: the old one goes back; maker:
      # another maker's part whose dimensions all match, with who decided it.
      VALUES = %w[same differs resolved kept maker].freeze
      # What stands only with words.
      WORDED = %w[differs resolved maker].freeze
      SETTLED = VALUES - ["differs"]

      # @attr row [Hash] of inner_comparisons.yml; unit [Cylinder::OnBench]; compare [String]; found [Hash, nil] value
      #   and note; figures [Hash{String => Hash}] figure => old and new, mm
      Line = Struct.new(:row, :unit, :compare, :found, :figures, keyword_init: true) do
        include OfUnit

        # @return [Array<String>] figures that differ by more than they may
        def apart
          figures.select { |_, pair| (pair["old"] - pair["new"]).abs > row["most"] + EPSILON_MM }.keys
        end

        def settled?
          SETTLED.include?(found&.fetch("value")) && (apart.empty? || found["value"] == "kept")
        end

        # Nothing is measured on it, and nothing was said of it yet.
        def plain?
          found.nil? && row["figures"].nil?
        end

        def to_h
          {id: id, label: label, compare: compare, value: found&.fetch("value"), note: found&.fetch("note", nil),
           kept: row["kept"], maker: row["maker"], figures: figures_view, settled: settled?}.compact
        end

        def figures_view
          (row["figures"] || {}).map do |figure, name|
            pair = figures[figure]
            {id: figure, label: name, old_mm: pair&.fetch("old"), new_mm: pair&.fetch("new"),
             apart: apart.include?(figure)}.compact
          end
        end
      end
      # Two readings that are written down as this far apart are, for all that a sum of decimals does.
      EPSILON_MM = 1e-9

      # @param reports [Array<UnitReport>] of units that go together again with new parts
      # @param entries [Job::Entries] of measure; tray [Cylinder::Tray]
      # @param ever [Array<String>, nil] of a job whose build has begun: rows that were ever answered; the others came
      #   later than the work, and are not asked of it
      def initialize(reports, entries, tray, ever: nil)
        @ever = ever
        found = entries.by("inner", "row")
        figures = entries.of("inner_figure").group_by { |entry| entry.data["row"] }
          .transform_values { |all| all.to_h { |entry| [entry.data["figure"], entry.data.slice("old", "new")] } }
        @lines = reports.flat_map { |report| compared(report.unit, tray) }.map do |row, unit, compare|
          id = unit.named(row["id"])
          Line.new(row: row, unit: unit, compare: compare, found: found[id], figures: figures.fetch(id, {})).freeze
        end.freeze
        freeze
      end

      # @return [Array<Line>]
      attr_reader :lines

      # @return [Array<Line>] not compared, different, or further apart than they may be
      def open
        lines.reject { |line| line.settled? || (@ever && !@ever.include?(line.id)) }
      end

      # Refuses a row that is not compared here, an answer it does not have, an answer that wants words and has none,
      # and “the same” of a piston whose figures are too far apart.
      # @param data [Hash] row, value, note
      def admit(data)
        line = line_at(data["row"])
        value = data["value"]
        refuse_unknown(line, value)
        if WORDED.include?(value) && data["note"].nil?
          raise Refusal.at("data/note", (value == "maker") ? "who decided it, and what was measured?" : "in which way?",
            "a note, in words")
        end
        return unless %w[same maker].include?(value) && line.apart.any?
        raise Refusal.at("data/value", "#{names(line)} differ by more than #{Said.mm(line.row["most"], 1)}",
          "the right part, or the reading corrected")
      end

      # @param data [Hash] row, figure, old, new
      # Refuses a figure that the row does not have.
      def admit_figure(data)
        line = line_at(data["row"])
        known = line.row.fetch("figures", {})
        return if known.key?(data["figure"])
        raise Refusal.at("data/figure", "#{line.label} has no such figure",
          known.empty? ? "none" : known.keys.join(", "))
      end

      private

      # @return [Array<Array(Hash, Cylinder::OnBench, String)>] row, unit, and by what its parts are told apart
      def compared(unit, tray)
        Tables.rows("inner_comparisons").filter_map do |row|
          parts = unit.construction.renewed.map { |part| part["id"] } & row["parts"]
          out = parts.select { |part| tray.out(unit.named(part)).positive? }
          next if out.empty?
          hints = out.map { |part| Tables.find("kit_items", part) }
          [row, unit, hints.map { |item| "#{item["label"]}: #{item["compare"]}" }.join(". ")]
        end
      end

      def line_at(id)
        lines.find { |line| line.id == id } || raise(Refusal.at("data/row", "“#{id}” is not compared here",
          lines.empty? ? "nothing" : lines.map(&:id).join(", ")))
      end

      def refuse_unknown(line, value)
        known = VALUES.select { |each| !%w[kept maker].include?(each) || line.row[each] }
        return if known.include?(value)
        raise Refusal.at("data/value", "#{line.label} cannot be “#{value}”", known.join(", "))
      end

      def names(line)
        line.apart.map { |figure| Wording.inside(line.row["figures"][figure]) }.join(" and ")
      end
    end
  end
end
