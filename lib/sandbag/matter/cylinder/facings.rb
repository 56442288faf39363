# frozen_string_literal: true

module Sandbag
  module Cylinder
    # Which way each part faces: asked once of every part for which it matters, and explained where it was wrong.
    class Facings
      # @param answers [Hash{String => String}] part => id of directions.yml
      def initialize(answers)
        @answers = answers
        freeze
      end

      # @param part [Cylinder::Part]
      # @return [Hash] question, options, answer, right, why; empty when it does not matter
      def of(part)
        return {} unless part.feature
        answer = @answers[part.id]
        {
          question: "Which way does it face? #{part.feature}.",
          options: options(part),
          answer: answer,
          right: answer && answer == part.faces,
          why: (why(part) if answer && answer != part.faces)
        }.compact
      end

      # @return [Array<Cylinder::Part>] those not answered, or answered wrong
      def wrong(parts)
        parts.select { |part| part.feature && @answers[part.id] != part.faces }
      end

      # @param parts [Array<Cylinder::Part>]
      # Refuses a part nobody asks about, and a direction that is not one of its two.
      def admit(data, parts)
        part = parts.find { |each| each.id == data["part"] }
        unless part&.feature
          raise Refusal.at(
            "data/part",
            "nobody asks which way “#{data["part"]}” faces",
            parts.select(&:feature).map(&:id).join(", ")
          )
        end
        known = options(part).map { |option| option[:id] }
        return if known.include?(data["faces"])
        raise Refusal.at("data/faces", "#{part.feature} cannot face “#{data["faces"]}”", known.join(", "))
      end

      private

      # The two ways, in the table's order so that the right one is not given away.
      def options(part)
        pair = [part.faces, Tables.find("directions", part.faces)["pair"]]
        Tables
          .rows("directions")
          .select { |row| pair.include?(row["id"]) }
          .map { |row| {id: row["id"], label: row["label"]} }
      end

      def why(part)
        reason = Tables.find("way_reasons", part.plain)
        "#{"#{reason["why"]} " if reason}#{part.feature}: #{Tables.find("directions", part.faces)["label"]}."
      end
    end
  end
end
