# frozen_string_literal: true

module Sandbag
  module Airway
    # Every method that suits a circuit, judged on each way out, the best first (docs/physics.md 6). What is judged on
    # the worst of its ways.
    class MethodTable
      RANKS = %w[suitable workable leaves_air not_for].freeze
      # How a line may stand: opened and filled again; full with air in it; full, for fresh fluid only.
      LINES = {"dry" => "a dry line", "air" => "trapped air", "full" => "a full line"}.freeze

      # @param sheet [Circuit::Sheet]; given [Hash] of Way
      # @param tool [Boolean] the machine's own electronic tool with its procedure is on hand
      # @param gate [Hash, nil] row of abs_gate.yml that decides on this job
      # @param shelf [Array<String>, nil] ids of the tools on the shelf; nil where it is unknown
      # @param people [Integer] at hand
      # @param schools [Hash] what the shop holds with; line [String, nil] of LINES; nil where that is unknown
      def initialize(sheet, tool: false, gate: nil, shelf: nil, people: 1, schools: {}, line: nil, **given)
        @sheet = sheet
        @tool = tool
        @gate = gate
        @shelf = shelf
        @people = people
        @schools = schools
        @line = line
        @given = given
        freeze
      end

      # @return [Array<Hash>] rows of bleed_methods.yml that may be used here
      def usable
        Tables.rows("bleed_methods").select { |row| barred(row).nil? }
      end

      # @return [String, nil] why a method is not used here
      def barred(row)
        unless @sheet.suits?(row)
          return "Not on this kind of circuit. Not for: #{Wording.inside(row["not_for"])}"
        end
        return "Fluid is pushed up to one caliper here, and not to several." if row["one_end"] && several_ends?
        return "ABS is fitted or may be: nothing is pushed backwards through its unit." if row["reverse"] && @sheet.abs?
        if @sheet.abs? && row["abs_gate"]&.none?(@gate&.fetch("id"))
          return "On an ABS circuit only where the master was opened and a lead released it."
        end
        if @gate&.dig("methods")&.none?(row["id"])
          return "ABS: #{Wording.inside(@gate["says"])} #{@gate["does"]}"
        end
        "Only with the machine's own tool and its procedure." if row["needs_tool"] && !(@sheet.abs? && @tool)
      end

      # @return [Hash] ways: the profile of each far end; methods: what becomes of its air under each
      def to_h
        ways = ways_out
        {
          ways: ways.map { |way| way_view(way) },
          methods: ranked(ways).map { |each| row(each) },
          barred: Tables.rows("bleed_methods").filter_map { |row| barred_view(row) },
          changes: MethodVerdict::CHANGES,
          offers: Supposition.offered(ways, @given)
        }
      end

      # @return [Hash] row of bleed_methods.yml that stands first
      def proposed
        ranked(ways_out).first.method
      end

      # @return [Array<Hash>] the figures that decide on a method, way by way, see Figures
      def figures(method)
        ways_out.flat_map { |way| Figures.new(way, MethodVerdict.new(way, method)).items }
      end

      # @attr method [Hash]; verdicts [Array<MethodVerdict>] on each way; leaning [Integer] of the shop's schools
      # @attr unfit [Boolean] it is not for this line, whatever becomes of the air
      Judged = Struct.new(:method, :verdicts, :leaning, :unfit) do
        def id
          unfit ? "not_for" : worst.id
        end

        def worst
          @worst ||= verdicts.max_by { |verdict| RANKS.index(verdict.id) }
        end
      end
      private_constant :Judged

      private

      # Circuits that are filled from either end may have more than one.
      def several_ends?
        @sheet.far_ends.size > 1 && !@sheet.kind.has?("either_way")
      end

      def ways_out
        Way.all(@sheet, dry: @line == "dry", **@given)
      end

      def ranked(ways)
        leanings = Schools.leanings(@schools, @sheet.kind, dry: @line == "dry")
        judged = usable.map do |method|
          leaning = leanings[method["id"]]
          unfit = (method["unfit"] || []).include?(@line) && !leaning.positive?
          Judged.new(method, ways.map { |way| MethodVerdict.new(way, method) }, leaning, unfit)
        end
        judged.sort_by.with_index { |each, index| [*rank(each), index] }
      end

      # By what becomes of the air; then whole methods before aids, the machine's own tool where it is on hand, what is
      # usual on this kind of circuit, what is there before what is not, by the hands there are, by what the shop holds
      # with, quick before slow.
      def rank(judged)
        method = judged.method
        [
          RANKS.index(judged.id), method["aid"] ? 1 : 0, method["needs_tool"] ? 0 : 1, usual?(method) ? 0 : 1,
          wanting(method).size, (method["people"] > @people) ? 1 : 0, -judged.leaning, method["minutes"]
        ]
      end

      # What is usual on this kind of circuit, unless its tools are known not to be there.
      def usual?(method)
        return false if method["usual"].nil? || (@shelf && wanting(method).any?)
        @sheet.suits?({"needs" => method["usual"]})
      end

      # @return [Array<String>] special tools that are not on the shelf; where the shelf is unknown, all of them
      def wanting(method)
        if @shelf
          method["tools"] - @shelf - COMMON
        else
          method["tools"].select { |tool| Tables.find("tools", tool)["special"] }
        end
      end
      # Every bench has them.
      COMMON = %w[nipple_spanner catch_jar ring_spanner soft_vice].freeze

      def barred_view(row)
        why = barred(row)
        {id: row["id"], label: row["label"], why: why} if why
      end

      def row(judged)
        method = judged.method
        worst = judged.worst
        {
          **method.slice("id", "label", "people", "minutes", "not_for", "cycle", "fails").transform_keys(&:to_sym),
          reverse: method["reverse"] == true,
          aid: method["aid"] == true,
          verdict: judged.id,
          place: worst.place,
          changes: judged.unfit ? [] : worst.changes,
          together: worst.together?,
          rises_s: judged.verdicts.filter_map(&:rises_s).max,
          why: judged.unfit ? "Not for #{LINES.fetch(@line)}: another way comes first." : why(worst),
          wanting: @shelf ? wanting(method).map { |tool| Tables.find("tools", tool)["label"] } : [],
          short_of_hands: method["people"] > @people,
          leaning: judged.leaning,
          legs: judged.verdicts.map { |verdict| legs(verdict) },
          flow_ml_s: judged.verdicts.first.flow_ml_s
        }.compact
      end

      def why(verdict)
        return held_said(verdict) if verdict.held_by
        return pocket_said(verdict) if verdict.stuck.nil? && verdict.pocket?
        each = verdict.stuck || slowest(verdict.carriages)
        "#{each.leg.label}: #{state_said(verdict, each)}. Flow #{each.flow_mm_s.round} mm/s; #{rise_said(each)}."
      end

      # What rises by itself is waited for: that is said first.
      def slowest(carriages)
        rising = carriages.select { |each| each.state == "rises" }
        return rising.max_by { |each| each.rises_s || 0.0 } if rising.any?
        carriages.max_by { |each| each.drift_mm_s - each.flow_mm_s }
      end

      def state_said(verdict, carriage)
        case carriage.state
        when "rises" then "rises by itself to #{exit_said(carriage)} in #{Wording.duration(carriage.rises_s)}"
        when "too_slow"
          "carried only part of the way: that takes #{Said.ml(carriage.needed_ml)}, and " \
            "#{Said.ml(carriage.planned_ml)} are planned#{strokes_said(verdict, carriage)}"
        else STATES.fetch(carriage.state)
        end
      end

      def strokes_said(verdict, carriage)
        return unless verdict.by_strokes?
        needed, planned = [carriage.needed_ml, carriage.planned_ml].map { |ml| (ml / verdict.drive.go_ml).ceil }
        " (#{needed} strokes for #{planned})"
      end

      def exit_said(carriage)
        return "the reservoir" if carriage.leg.feed
        carriage.leg.rise_mm.negative? ? "the master's port" : "the raised hose"
      end

      def rise_said(carriage)
        return "a slug that fills this bore does not rise by itself" if carriage.drift_mm_s.zero?
        said = "a slug rises by itself at #{format("%.1f", carriage.drift_mm_s)} mm/s"
        carriage.uncertain? ? "#{said}, which is uncertain in this bore" : said
      end

      STATES = {
        "carried" => "carried",
        "stalls" => "rises as fast as the fluid flows down, so it stays put",
        "comes_back" => "part of the way in one go, and back before the next",
        "stays" => "nothing moves it"
      }.freeze

      def held_said(verdict)
        "#{verdict.held_by.label} stands #{Said.mm(verdict.drive.rise_mm(verdict.held_by), 0)} above the master's " \
          "outlet, the level in the reservoir #{Said.mm(verdict.profile.level_mm, 0)}: nothing runs over it by itself."
      end

      def pocket_said(verdict)
        "The port is not at the top of its cavity: #{Said.ml(verdict.pocket_ml, 2)} stay in it."
      end

      def legs(verdict)
        verdict.carriages.map do |each|
          {state: each.state, flow_mm_s: each.flow_mm_s, drift_mm_s: each.drift_mm_s, rises_s: each.rises_s,
           needed_ml: (each.needed_ml if each.needed_ml.finite?),
           planned_ml: (each.planned_ml if each.planned_ml.finite?)}.compact
        end
      end

      def way_view(way)
        profile = way.profile
        {
          far_end: way.far_end["id"], label: way.end_label, pocket_ml: way.turned ? 0.0 : profile.pocket_ml,
          points: profile.points.map { |point| {**point.to_h.except(:end_of), places: places(point)} },
          lines: profile.legs.map { |leg| "#{leg.feed ? "reservoir" : "line"}.#{leg.line}" },
          length_mm: profile.length_mm,
          abs: @sheet.abs?, nipple_up: way.turned
        }
      end

      def places(point)
        point.end_of ? Circuit::Places.of(@sheet).at_end_of(point.end_of).map(&:id) : []
      end
    end
  end
end
