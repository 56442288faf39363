# frozen_string_literal: true

module Sandbag
  module Strip
    # Machine and mechanic protected, then the steps in their order.
    class Now < Job::Now
      private

      def cards
        return [go("ask", "Say where the repair works")] if @job.ask.where.wanted?
        return [go("measure", "Compare new with old first")] unless @stage.compared?
        return [go("choose", "Fetch what is still missing")] if @stage.wanting.any?
        return set_up if @stage.setup.missing.any?
        at_hand
      end

      def at_hand
        ahead = @stage.work.steps.reject { |each| @stage.passed?(each) }
        return [] if ahead.empty?
        group = together(ahead)
        in_one_go(next_step(ahead), group, photo: before(group)) do |each|
          [each.label, how(each), entry("step", step: each.id)]
        end
      end

      def how(step)
        leaks = "Leaks: #{step.leaks}." if step.leaks
        lost = "Watch out: #{step.lost}." if step.lost
        [step.does, leaks, lost].compact.join(" ")
      end

      # What is simply done is done together; what is answered, measured or photographed is a card of its own.
      def set_up
        hoses, others = @stage.setup.missing.partition { |row| row["each"] }
        open = others.map do |row|
          alone = row.keys.intersect?(%w[values figures photo])
          [item(row), ([row["label"], row["detail"], done(row)] unless alone)]
        end
        in_one_round("setup", "Protect the machine and yourself", open, good: "done") + hoses_looked_at(hoses)
      end

      # All of them sound by one answer; a faulty one is a card of its own.
      def hoses_looked_at(rows)
        return [] if rows.empty?
        open = rows.map do |row|
          [item(row), [row["name"], nil, entry("setup", item: row["id"], value: row["good"].first)]]
        end
        in_one_round("hoses", rows.first["round"], open, good: "sound", detail: rows.first["detail"])
      end

      def done(row)
        entry("setup", item: row["id"])
      end

      def item(row)
        id = "setup.#{row["id"]}"
        values = @stage.setup.to_h.find { |each| each[:id] == row["id"] }[:values]
        said = {detail: row["detail"], photo: row["photo"]}
        return figures(row, values, said) if row["figures"]
        return step(id, row["label"], done(row), **said) unless values
        question(id, row["label"], each_answer(values, "setup", item: row["id"]), **said)
      end

      # The first figure answers it; the others are typed on the page.
      def figures(row, values, said)
        first = @stage.figures.of(row["id"]).first
        others = values.map { |value, label| {label: label, entry: entry("setup", item: row["id"], value: value)} }
        reading("setup.#{row["id"]}", first["label"], entry("figure", figure: first["id"]), name: "value", unit: "mm",
          answers: others, **said)
      end

      # What shows which way the parts of some steps go.
      def before(steps)
        features = steps.flat_map(&:takes).filter_map(&:feature).map { |feature| Wording.inside(feature) }
        Wording.sentence(features.join(", ")) if features.any?
      end

      def next_step(ahead)
        at, all = ahead.first, @stage.work.steps.size
        step("step.#{at.id}", at.label, entry("step", step: at.id),
          detail: how(at), caution: at.to_h[:caution] || at.flies,
          figure: "#{all - ahead.size + 1} of #{all}", photo: before([at]))
      end
    end
  end
end
