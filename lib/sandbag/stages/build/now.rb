# frozen_string_literal: true

module Sandbag
  module Build
    # What is true before the first part; each part the right way round, in; the old ones counted; the checks.
    class Now < Job::Now
      PASS = {true => "Right", false => "Not right"}.freeze

      private

      def cards
        return [go("strip", "Take it apart first")] if @stage.reckoning.tray.cells.empty?
        return [go("measure", "Settle reuse or renew first")] unless @job.measure.done?
        return @stage.first_checks.map { |check| look_at(check[:row]) } if @stage.step && @stage.first_checks.any?
        return facings_or(put_in, @stage.put_back, @stage.step) if @stage.step
        return facings_left if @stage.put_back.wrong.any?
        return [here("count", Wording.sentence(@stage.reckoning.says), room: "tray")] unless @stage.reckoning.zero?
        checks(@stage.checks.reject { |check| check[:pass] })
      end

      def checks(open)
        in_one_round("checks", "The cylinder in the hand",
          open.map { |check| [look_at(check[:row]), (right(check[:row]) if together?(check))] }, good: "right")
      end

      # Seen with the others: not what takes its time or a photo, nor what somebody found not right.
      def together?(check)
        check[:pass].nil? && !check[:row]["seconds"] && !check[:row]["photo"]
      end

      def right(row)
        [row["label"], row["how"], entry("check", check: row["id"], pass: true)]
      end

      def put_in
        at = @stage.step
        done = @stage.steps.count { |each| @stage.put_back.done?(each) }
        parts = @stage.put_back.present(at)
        step("step.#{at.id}", "Put in: #{@stage.put_back.said(at)}", entry("step", step: at.id),
          detail: parts.filter_map(&:check).uniq.map { |each| "#{Wording.sentence(each)}." }.join(" "),
          caution: Cylinder::Notes.for(parts).first&.fetch(:text), figure: "#{done + 1} of #{@stage.steps.size}")
      end

      def facings_left
        @stage.put_back.wrong.map { |part| facing(@stage.put_back, part) }
      end

      def look_at(row)
        question("check.#{row["id"]}", row["label"], each_answer(PASS, "check", name: :pass, check: row["id"]),
          detail: row["how"], clock_s: row["seconds"], photo: row["photo"])
      end
    end
  end
end
