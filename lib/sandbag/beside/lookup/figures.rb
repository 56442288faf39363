# frozen_string_literal: true

module Sandbag
  module Lookup
    # Figures of the trade: torque, free play, wear, sizes, hoses, intervals.
    module Figures
      def self.all
        [*torque, *free_play, *wear, *near_misses, *intervals, *hoses, *spanners]
      end

      def self.torque
        Tables.rows("torques").map do |row|
          over, turns, snug = row.values_at("over", "turns", "snug").map { |said| said && Wording.inside(said) }
          Entry.of("torque", row, row["label"], range(row), turns && "Without a wrench: #{turns}",
            snug && "By hand: #{snug}", over && "If it was over: #{over}")
        end
      end

      def self.range(row)
        return "No default: by the service information only" unless row["from"]
        low, high = row.values_at("from", "to")
        range = "#{Said.figure(low, :torque, "g", bare: true)} to #{Said.figure(high, :torque, "g")}"
        row["ceiling"] ? "#{range}, never over #{Said.figure(row["ceiling"], :torque, "g")}" : range
      end

      def self.free_play
        Tables.rows("free_plays").map do |row|
          tip, piston = row.values_at("tip", "piston")
          Entry.of("free_play", row, row["label"], tip ? "At the tip #{span(tip)}" : "By the maker's figure",
            piston && "at the piston #{span(piston)}", "Never zero")
        end
      end

      def self.wear
        Tables.rows("wear_limits").map do |row|
          bore, piston, clearance, round = row.values_at("bore_limit", "piston_limit", "clearance", "out_of_round")
          Entry.of("wear", row, "Bore and piston, #{span(row.values_at("over", "up_to"))}",
            "bore at most #{Said.mm(bore, 3)} over nominal", "piston at most #{Said.mm(-piston, 3)} under it",
            "clearance at most #{Said.mm(clearance, 3)}", "out of round at most #{Said.mm(round, 3)}")
        end
      end

      def self.near_misses
        Tables.rows("near_misses").map do |row|
          small, large = row["sizes"]
          Entry.of("near_miss", row, "#{Said.mm(small, "g", bare: true)} and #{Said.mm(large, "g")}",
            "One of them is #{row["inch"]} in: #{row["rule"]}", "Told apart by #{row["told_apart_by"]}",
            words: [row["inch"]])
        end
      end

      def self.intervals
        [fluid_interval, bottle] + Tables.rows("intervals").map do |row|
          short = row["short_for"]&.map { |kind| Tables.find("machine_kinds", kind)["label"] }
          Entry.of("intervals", row, row["label"], every(row["months"]),
            short && "#{short.join(", ")}: #{every(row["months_short"])}")
        end
      end

      def self.fluid_interval
        kinds = Circuit::Kind.all.group_by(&:fluid_months).sort.reverse.map do |months, of|
          "#{every(months)}: #{of.map { |kind| Wording.inside(kind.label) }.join(", ")}"
        end
        Entry.of("intervals", {"id" => "fluid"}, "Full change of fluid", *kinds,
          "Race, hire and hard use: #{every(Fluid::ChangeDue::HARD_MONTHS)}", words: ["flush"])
      end

      def self.every(months)
        "every #{months} months"
      end

      def self.bottle
        Entry.of("intervals", {"id" => "bottle"}, "Opened bottle of fluid",
          "Glycol: into a brake for #{Fluid::Bottle::BRAKE_MONTHS} months after it was opened, shut tight and dry",
          "Thrown away after #{Fluid::Bottle::DISCARD_MONTHS} months",
          "Write the day on the bottle: the shelf prints the label", words: %w[keep long shelf life date])
      end

      def self.hoses
        Tables.rows("hose_bends").map do |row|
          Entry.of("hose", row, "#{Wording.sentence(Wording.spelled(row["id"]))} hose: smallest bend",
            "a radius of #{row["diameters"]} outside diameters")
        end
      end

      def self.spanners
        Tables.rows("nipple_spanners").map do |row|
          Entry.of("tools", row, "Nipple M#{row["thread"]}",
            "usually #{row["spanners"].join(" or ")} mm across; the nipple decides")
        end
      end

      def self.span(range)
        "#{Said.mm(range.first, "g", bare: true)} to #{Said.mm(range.last, "g")}"
      end
      private_class_method :torque, :range, :free_play, :wear, :near_misses, :intervals, :fluid_interval, :every,
        :bottle, :hoses, :spanners, :span
    end
  end
end
