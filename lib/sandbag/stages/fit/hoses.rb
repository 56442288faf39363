# frozen_string_literal: true

module Sandbag
  module Fit
    # The way every hose runs that this job renews, cuts, or hangs on another cylinder.
    class Hoses
      # @attr line [Hash] part of the circuit; run [HoseRun]; open [Array<Hash>] rows of hose_positions.yml still to be
      #   measured; lacks [Array<String>] positions this machine has not
      Laid = Struct.new(:line, :run, :open, :lacks, :bend, keyword_init: true) do
        # @return [Array<String>] what is still to do, or what is wrong
        def due
          name = Circuit::Places.inside(line)
          [
            ("#{name}: its path at #{open.map { |row| Wording.inside(row["label"]) }.join(", ")}" if open.any?),
            ("#{name}: #{Said.mm(-run.slack_mm, 0)} too short. A longer one" if open.empty? && run.verdict == "short"),
            ("#{name}: its tightest bend" if bend.nil?),
            ("#{name}: bent tighter than #{Said.mm(run.least_bend_mm, 0)}" if run.bend_fine? == false)
          ].compact
        end
      end

      attr_reader :laid

      # @param scope [Scope]; entries [Job::Entries] of fit; lines [Array<Hash>] the hoses that are laid
      def initialize(scope, entries, lines:)
        @scope = scope
        @sheet = scope.sheet
        @paths = entries.of("path").group_by { |entry| entry.data["line"] }
        @bends = entries.by("bend", "line")
        @laid = lines.map { |line| laid_of(line) }.freeze
        freeze
      end

      # @return [Array<Hash>] rows of hose_positions.yml that this kind of circuit has
      def positions
        Tables.rows("hose_positions").select { |row| @scope.here?(row) }
      end

      # @return [Array<String>]
      def due(phase)
        (phase == "before") ? laid.flat_map(&:due) : []
      end

      # Refuses a hose or a position that is not measured here, and a path shorter than its ends are apart.
      def admit(entry)
        line = laid.map(&:line).find { |each| each["id"] == entry.data["line"] } || raise(Refusal.at("data/line",
          "“#{entry.data["line"]}” is not laid here", laid.map { |each| each.line["id"] }.join(", ")))
        admit_path(line, entry.data) if entry.kind == "path"
      end

      private

      def laid_of(line)
        newest = (@paths[line["id"]] || []).to_h { |entry| [entry.data["position"], entry.data] }
        lacks = newest.select { |_, data| data["none"] }.keys
        paths = newest.filter_map { |position, data| [position, data["length"]] if data["length"] }.to_h
        values = @sheet.values(line)
        bend = @bends.dig(line["id"], "radius")
        run = HoseRun.new(length_mm: values["length"].value, paths: paths, outside_mm: values["outside"].value,
          kind: values["kind"].value, bend_mm: bend)
        open = positions.reject { |row| newest.key?(row["id"]) }
        Laid.new(line: line, run: run, open: open, lacks: lacks, bend: bend).freeze
      end

      def admit_path(line, data)
        row = positions.find { |each| each["id"] == data["position"] } || raise(Refusal.at("data/position",
          "this circuit has no such position", positions.map { |each| each["id"] }.join(", ")))
        return if data["none"] && row["may_lack"]
        unless data["length"]
          raise Refusal.at("data/length", "the length of the path is missing", "mm, measured along the way it lies")
        end
        apart_mm = apart_mm(line)
        return if data["length"] >= apart_mm
        raise Refusal.at(
          "data/length",
          "its ends are #{Said.mm(apart_mm, 0)} apart in height alone: no path is shorter",
          "at least that, or the heights put right on the machine"
        )
      end

      def apart_mm(line)
        heights = Circuit::Heights.new(@sheet).lines.find { |each| each[:line] == line["id"] }
        (heights[:start_mm] - heights[:end_mm]).abs
      end
    end
  end
end
