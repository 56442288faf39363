# frozen_string_literal: true

module Sandbag
  module Ask
    # Where on a circuit its findings were found, and could be.
    class FoundPlaces
      # @param entries [Job::Entries] of this stage; places [Circuit::Places]; entered [Findings] as they stand
      def initialize(entries, places, entered)
        @said = entries.of("finding", "finding_cleared")
        @places = places
        @entered = entered
      end

      # @return [Hash{String => Array<Circuit::Place>}] finding => where it was found
      def all
        @all ||= Tables.rows("findings").select { |row| row["places"] }
          .to_h { |row| [row["id"], of(row)] }.reject { |_, at| at.empty? }
      end

      # @param finding [Hash] row of findings.yml
      # @return [Array<Circuit::Place>] where it could be found
      def possible(finding)
        @places.of_kind(*finding["places"]).select(&:pressed?)
      end

      private

      # Where it was found, until it was found ordinary or taken back.
      def of(row)
        said = @said.select { |entry| entry.data["finding"] == row["id"] }
        since = said.rindex { |entry| entry.kind == "finding_cleared" || entry.data["value"] == row["ordinary"] }
        ids = said.drop((since || -1) + 1).filter_map { |entry| entry.data["place"] }
        @places.select { |place| ids.include?(place.id) && @entered.known?(row["id"]) }
      end
    end
  end
end
