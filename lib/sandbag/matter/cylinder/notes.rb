# frozen_string_literal: true

module Sandbag
  module Cylinder
    # Technique by part (knowledge/build_notes.yml).
    module Notes
      # @param parts [Array<Cylinder::Part>]
      # @return [Array<Hash>] word and text
      def self.for(parts)
        ids = parts.map(&:plain)
        Tables.rows("build_notes").select { |row| row["parts"].intersect?(ids) }
          .map { |row| {word: row["word"], text: row["text"]} }
      end
    end
  end
end
