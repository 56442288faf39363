# frozen_string_literal: true

module Sandbag
  module Bleed
    # What is looked at before fluid moves, and when every point ran clean (knowledge/bleed_checks.yml).
    class Checks
      # @attr row [Hash]; answer [String, nil]
      Check = Struct.new(:row, :answer, keyword_init: true) do
        def good?
          row["good"].include?(answer)
        end

        def to_h
          {id: row["id"], at: row["at"], label: row["label"], does: row["does"], answers: row["answers"],
           answer: answer, good: good?}.compact
        end
      end

      # The vacuum a tool holds in this time, as a share of what was pulled. [default]
      HOLDS_SHARE = 0.9
      # Less than this is no vacuum to judge by, MPa. [default]
      LEAST_MPA = 0.03

      # @param entries [Job::Entries] of the bleed; method [Hash] at hand
      # @param sheet [Circuit::Sheet]; followed [Hash] schools of the shop, id => answer
      # @param moved [Integer, nil] journal position of the last fluid that moved
      def initialize(entries, method, sheet, followed:, moved:)
        @entries = entries
        @method = method
        @sheet = sheet
        @followed = followed
        @answers = {"start" => entries, "end" => entries.after(moved)}
          .transform_values { |taken| taken.by("check", "check") }
        freeze
      end

      # @return [Array<Check>] asked before fluid moves
      def start
        asked("start")
      end

      # @return [Array<Check>] asked when every point ran clean
      def finish
        asked("end")
      end

      # @return [String, nil] the first thing to do before fluid moves
      def before_fluid
        check = start.find { |each| !each.good? }
        return said(check) if check
        "the tool shown to be tight: vacuum held for 15 s" if tight_wanted? && !tight?
      end

      # @return [String, nil] the first thing to do after the last point
      def after_fluid
        check = finish.find { |each| !each.good? }
        return said(check) if check
        "the tool's report, with its lamp off" if @method["report"] && !reported?
      end

      def tight_wanted?
        @method["tight"] == true
      end

      # @return [Hash, nil] first, after, held [Boolean], says
      def tightness
        data = @entries.said("tool_tight")
        return unless data
        {first_mpa: data["first"], after_mpa: data["after"], held: held?(data), says: tightness_said(data)}
      end

      def tight?
        tightness&.fetch(:held) || false
      end

      # @return [Hash, nil] lamp, report, instrument of the machine's own tool
      def report
        @entries.said("tool_report")
      end

      def reported?
        report&.fetch("lamp") == "off"
      end

      # @return [Hash, nil] the row of a check that is asked here
      def find(id)
        (start + finish).map(&:row).find { |row| row["id"] == id }
      end

      private

      def asked(at)
        rows(at).map { |row| Check.new(row: row, answer: @answers.fetch(at).dig(row["id"], "value")).freeze }
      end

      def rows(at)
        Knowledge.table("bleed_checks").select { |row| row["at"] == at && asked?(row) && here?(row) }
      end

      def asked?(row)
        @method["checks"].include?(row["id"]) || row["kinds"]&.include?(@sheet.kind.id) ||
          (!@sheet.clutch? && @followed.value?(row["school"]))
      end

      def here?(row)
        !row["abs"] || @sheet.abs?
      end

      def said(check)
        return "#{Wording.inside(check.row["label"])}: #{Wording.inside(check.row["does"])}" if check.answer
        Wording.inside(check.row["label"])
      end

      def held?(data)
        data["first"] >= LEAST_MPA && data["after"] >= HOLDS_SHARE * data["first"]
      end

      def tightness_said(data)
        return "Too little vacuum to judge by: pull more." if data["first"] < LEAST_MPA
        return "It holds: the tool is tight." if held?(data)
        "It falls: the tool draws air at hose, adapter or jar. Seal it and try again."
      end
    end
  end
end
