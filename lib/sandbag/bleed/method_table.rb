# frozen_string_literal: true

module Sandbag
  module Bleed
    # Every method that suits a circuit, judged on each way out, the best first (docs/physics.md 6). What is judged on
    # the worst of its ways.
    class MethodTable
      RANKS = %w[suitable workable leaves_air].freeze

      # @param sheet [Circuit::Sheet]; given [Hash] of Way
      # @param tool [Boolean] the machine's own electronic tool with its procedure is on hand
      def initialize(sheet, tool: false, **given)
        @sheet = sheet
        @tool = tool
        @given = given
        freeze
      end

      # @return [Array<Hash>] rows of bleed_methods.yml that may be used here
      def usable
        Knowledge.table("bleed_methods").select { |row| barred(row).nil? }
      end

      # @return [String, nil] why a method is not used here
      def barred(row)
        unless row["kinds"].include?(@sheet.kind.id)
          return "Not on this kind of circuit. Not for: #{Wording.inside(row["not_for"])}"
        end
        return "ABS is fitted or may be: nothing is pushed backwards through its unit." if row["reverse"] && @sheet.abs?
        "Only with the machine's own tool and its procedure." if row["needs_tool"] && !(@sheet.abs? && @tool)
      end

      # @return [Hash] ways: the profile of each far end; methods: what becomes of its air under each
      def to_h
        ways = Way.all(@sheet, **@given)
        rows = usable.map { |method| row(method, ways) }
        {
          ways: ways.map { |way| way_view(way) },
          methods: rows.sort_by.with_index { |each, index| [*rank(each), index] },
          barred: Knowledge.table("bleed_methods").filter_map { |row| barred_view(row) },
          changes: MethodVerdict::CHANGES
        }
      end

      private

      # By what becomes of the air; then whole methods before aids, common tools before special ones, quick before slow.
      def rank(row)
        method = Knowledge.find("bleed_methods", row[:id])
        special = method["tools"].count { |tool| Knowledge.find("tools", tool)["special"] }
        [RANKS.index(row[:verdict]), row[:aid] ? 1 : 0, special, row[:minutes]]
      end

      def barred_view(row)
        why = barred(row)
        {id: row["id"], label: row["label"], why: why} if why
      end

      def row(method, ways)
        verdicts = ways.map { |way| MethodVerdict.new(way, method) }
        worst = verdicts.max_by { |verdict| RANKS.index(verdict.id) }
        {
          id: method["id"],
          label: method["label"],
          people: method["people"],
          minutes: method["minutes"],
          not_for: method["not_for"],
          cycle: method["cycle"],
          fails: method["fails"],
          reverse: method["reverse"] == true,
          aid: method["aid"] == true,
          verdict: worst.id,
          place: worst.place,
          changes: worst.changes,
          together: worst.together?,
          why: why(worst),
          legs: verdicts.map { |verdict| legs(verdict) },
          flow_ml_s: verdicts.first.flow_ml_s
        }.compact
      end

      def why(verdict)
        return pocket_said(verdict) if verdict.stuck.nil? && verdict.pocket?
        each = verdict.stuck || verdict.carriages.max_by { |leg| leg.drift_mm_s - leg.flow_mm_s }
        "#{each.leg.label}: #{STATES.fetch(each.state)}. Flow #{each.flow_mm_s.round} mm/s; #{rise_said(each)}."
      end

      def rise_said(carriage)
        return "a slug that fills this bore does not rise by itself" if carriage.drift_mm_s.zero?
        "a slug rises by itself at #{format("%.1f", carriage.drift_mm_s)} mm/s"
      end

      STATES = {
        "carried" => "carried", "rises" => "rises by itself", "stalls" => "as fast up as the flow down: it stalls",
        "comes_back" => "part of the way in one go, and back before the next",
        "stays" => "nothing moves it"
      }.freeze

      def pocket_said(verdict)
        "The port is not at the top of its cavity: #{Said.ml(verdict.pocket_ml, 2)} stay in it."
      end

      def legs(verdict)
        verdict.carriages.map do |each|
          {state: each.state, flow_mm_s: each.flow_mm_s, drift_mm_s: each.drift_mm_s}
        end
      end

      def way_view(way)
        profile = way.profile
        {
          far_end: way.far_end["id"], label: way.end_label, pocket_ml: way.turned ? 0.0 : profile.pocket_ml,
          points: profile.points.map { |point| point.to_h }, length_mm: profile.length_mm
        }
      end
    end
  end
end
