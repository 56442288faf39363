# frozen_string_literal: true

module Sandbag
  module Ask
    # What other stages saw that can stop a job: a lever that did not hold after a bleed, rubber that the wrong fluid
    # has swollen, a hose that bulges, and wet pads.
    class Seen
      # @param journal [Job::Journal]
      def initialize(journal)
        @entries = {
          "hold_after_bleed" => failed_hold(journal),
          "rubber_seen" => swollen(journal),
          "hose_seen" => bulging(journal),
          "pads_seen" => wet_pads(journal)
        }.compact.freeze
        freeze
      end

      # @return [Hash{String => String}] for the conditions of red_flags.yml
      def facts
        @entries.transform_values(&:first)
      end

      # @return [Job::Entry, nil] the one that a fact rests on
      def entry(fact)
        @entries[fact]&.last
      end

      private

      def failed_hold(journal)
        failed = [journal.of("bleed").last("round"), sunk(journal)].compact.max_by(&:position)
        failed && ["failed", failed]
      end

      def sunk(journal)
        moved = journal.of("bleed").last(*Bleed::Stage::DISTURBING)
        hold = journal.of("feel").last("hold", "hold_series")
        return unless moved && hold && hold.position > moved.position
        hold if Feel::HoldCheck.sunk?(hold)
      end

      # The newest look at each caliper's pads counts.
      def wet_pads(journal)
        wet = looks(journal).select { |entry| plain(entry) == "pads" && entry.data["value"] == "wet" }
        wet.any? ? ["wet", wet.last] : nil
      end

      # The newest look at each hose counts.
      def bulging(journal)
        looks = journal.of("strip").of("setup").to_h { |entry| [entry.data["item"], entry] }
        found = looks.values.find { |entry| entry.data["item"].start_with?("hose.") && entry.data["value"] == "bulges" }
        found && ["bulges", found]
      end

      # The newest look at each part counts.
      def swollen(journal)
        found = looks(journal).find do |entry|
          Tables.find("inspections", plain(entry))&.dig("values", entry.data["value"], "rule") == "flag"
        end
        found && ["swollen", found]
      end

      # @return [Array<Job::Entry>] the newest of each look under Measure
      def looks(journal)
        journal.of("measure").of("finding").to_h { |entry| [entry.data["check"], entry] }.values
      end

      # What was looked at, of whichever unit.
      def plain(look)
        Cylinder::OnBench.apart(look.data["check"]).first
      end
    end
  end
end
