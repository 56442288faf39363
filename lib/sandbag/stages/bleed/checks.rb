# frozen_string_literal: true

module Sandbag
  module Bleed
    # What is looked at before fluid moves, and when every point ran clean (knowledge/bleed_checks.yml).
    class Checks
      # The vacuum a tool holds in this time, as a share of what was pulled. [default]
      HOLDS_SHARE = 0.9
      # Less than this is no vacuum to judge by, MPa. [default]
      LEAST_MPA = 0.03
      # How long a vacuum is watched.
      HELD_S = Tables::Figures.value("vacuum_held")
      ARITHMETIC_MPA = 1e-9

      # @param entries [Job::Entries] of the bleed; method [Hash] at hand
      # @param sheet [Circuit::Sheet]; followed [Hash] schools of the shop, id => answer
      # @param causes [Array<String>] of causes.yml, that the findings point to
      # @param moved [Integer, nil] journal position of the last fluid that moved
      # @param rises_s [Proc] returns the s until the air that rises has left by the port, nil where none rises; called
      #   after the last point
      def initialize(entries, method, sheet, followed:, moved:, causes: [], rises_s: -> {})
        @entries = entries
        @method = method
        @sheet = sheet
        @followed = followed
        @causes = causes
        @rises_s = rises_s
        @moved = moved
        @start = asked("start", entries)
      end

      # Asked before fluid moves.
      # @return [Array<Job::Asked>]
      attr_reader :start

      # Asked when every point ran clean.
      # @return [Array<Job::Asked>]
      def finish
        @finish ||= asked("end", @entries.after(@moved))
      end

      # @return [Integer, nil] s, in whole minutes, that a check takes
      def seconds(check)
        (@rises_s.call / 60).ceil * 60 if check.row["rises"]
      end

      # @return [String, nil] the first thing to do before fluid moves
      def before_fluid
        check = start.find { |each| !each.good? }
        return said(check) if check
        "the tool shown to be tight: vacuum held for #{Tables::Figures.said("vacuum_held")}" if tight_wanted? && !tight?
      end

      # @return [String, nil] the first thing to do after the last point
      def after_fluid
        check = finish.find { |each| !each.good? }
        said(check) if check
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

      # @return [Array<Job::Asked>] both
      def all
        start + finish
      end

      # @return [Hash] what the page shows of one
      def shown(check)
        {**check.to_h, at: check.row["at"], does: check.row["does"], seconds: seconds(check)}.compact
      end

      private

      def asked(at, taken)
        rows = Tables.rows("bleed_checks").select { |row| row["at"] == at && asked?(row) && here?(row) }
        Job::Asked.all(rows, taken.by("check", "check"))
      end

      def asked?(row)
        @method["checks"].include?(row["id"]) || (row["needs"] && @sheet.suits?(row)) ||
          (row["rises"] && @rises_s.call) ||
          (!@sheet.clutch? && @followed.value?(row["school"]))
      end

      def here?(row)
        (!row["abs"] || @sheet.abs?) && (row["cause"].nil? || @causes.include?(row["cause"]))
      end

      def said(check)
        return "#{Wording.inside(check.row["label"])}: #{Wording.inside(check.row["does"])}" if check.answer
        Wording.inside(check.row["label"])
      end

      # A gauge that fell to just the share holds: decimals must not decide.
      def held?(data)
        data["first"] >= LEAST_MPA && data["after"] >= HOLDS_SHARE * data["first"] - ARITHMETIC_MPA
      end

      def tightness_said(data)
        return "Too little vacuum to judge by: pull more." if data["first"] < LEAST_MPA
        return "It holds: the tool is tight." if held?(data)
        "It falls: the tool draws air at hose, adapter or jar. Seal it and try again."
      end
    end
  end
end
