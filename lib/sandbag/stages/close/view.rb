# frozen_string_literal: true

module Sandbag
  module Close
    # What the Close page shows.
    class View
      # @param close [Stage]
      def initialize(close)
        @close = close
        freeze
      end

      # @return [Hash]
      def to_h
        signature = @close.signature
        {
          done: Done.new(@close.job).to_a,
          owner: owner,
          cures: cures,
          places: places,
          gates: @close.gates.map { |gate| gate_view(gate) },
          ready: @close.ready?,
          leak_watch: @close.leak_watch.to_h,
          level: @close.level.to_h,
          discs: discs,
          sessions: (@close.sessions.to_h if @close.sessions.kept?),
          fluid_balance: @close.fluid_balance,
          batch: @close.batch,
          rechecks: @close.rechecks.to_a,
          recheck_on: @close.recheck_on&.iso8601,
          recheck_proposed: @close.rechecks.proposed&.iso8601,
          signed_by: signature&.data&.fetch("name"),
          signed_at: signature&.at,
          aside: @close.job.strip.aside
        }.compact
      end

      private

      # Lines of the owner's sheet, by section.
      def owner
        job = @close.job
        OwnerLines::SECTIONS.to_h do |section|
          [section.to_sym, OwnerLines.of(section, job.sheet.kind, job.choose.family)]
        end
      end

      def discs
        all = @close.discs.all
        {items: all.map(&:to_h), fault: @close.discs.fault}.compact if all.any?
      end

      # Flags that this job was to cure: what has to be true before each is gone.
      def cures
        @close.cures.map { |flag| {id: flag.id, label: flag.label, lifts: flag.row["lifts"]} }
      end

      def places
        Job::Walk.of(@close.gates.map { |gate| gate.row["place"] })
      end

      def gate_view(gate)
        caution = gate.row["caution"] && Tables.find("cautions", gate.row["caution"])["text"]
        {
          id: gate.id,
          place: gate.row["place"],
          label: gate.label,
          detail: gate.detail,
          settled: gate.computed? ? "computed" : "confirmed",
          met: gate.met,
          touched: gate.state != :not_touched,
          step: gate.step?,
          together: gate.together?,
          by_name: gate.row["by_name"],
          power: gate.row["power"],
          name: gate.name,
          why: (gate.why unless gate.met),
          caution: caution
        }.compact
      end
    end
  end
end
