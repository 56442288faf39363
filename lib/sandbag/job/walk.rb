# frozen_string_literal: true

module Sandbag
  module Job
    # The order in which one walks round the machine (walk_places.yml).
    module Walk
      # @param places [Array<String>] ids, in any order, each as often as something is looked at there
      # @return [Array<Hash>] id and label of each of them once, in order
      def self.of(places)
        Tables.rows("walk_places").select { |row| places.include?(row["id"]) }
          .map { |row| {id: row["id"], label: row["label"]} }
      end
    end
  end
end
