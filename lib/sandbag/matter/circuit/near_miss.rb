# frozen_string_literal: true

module Sandbag
  module Circuit
    # Metric and inch twins (docs/trade.md 2.3): a bore that was only measured may be either, and they are different
    # parts.
    module NearMiss
      # How far a measured bore may lie outside its pair and still be one of them, mm.
      REACH_MM = 0.06
      # Sources that prove a nominal size.
      PROOF = %w[part_marking service_info].freeze

      # @return [Hash, nil] sizes, inch, told_apart_by, rule of the pair a bore may belong to
      def self.pair(bore_mm)
        Tables.rows("near_misses").find do |row|
          bore_mm.between?(row["sizes"].min - REACH_MM, row["sizes"].max + REACH_MM)
        end
      end

      # @return [Array<Hash>] part, field, question, options of every entered bore that is not proven
      def self.questions(sheet)
        (sheet.parts_of("master") + sheet.parts_of("slave")).filter_map do |part|
          bore = sheet.values(part)["bore"]
          next if PROOF.include?(bore.source) || bore.source == Source::DEFAULT
          row = pair(bore.value)
          row && question(part, row)
        end
      end

      def self.question(part, row)
        metric_first = row["sizes"].sort
        {
          part: part["id"],
          field: "bore",
          options: metric_first,
          question:
            "Which? #{Said.mm(metric_first[0], "g", bare: true)} or #{Said.mm(metric_first[1], "g")} " \
              "(#{row["inch"]} in is one of them, #{Said.mm(metric_first[1] - metric_first[0], "g")} apart). " \
              "Told apart by #{row["told_apart_by"]}; #{row["rule"]}."
        }
      end
      private_class_method :question
    end
  end
end
