# frozen_string_literal: true

require "date"

module Sandbag
  module Calendar
    # What falls due on a circuit by the calendar (docs/trade.md 9.4), out of the days in its record, and pads and discs
    # that are worn. The machine's service information prevails.
    class CircuitDues
      # Share of the wear that pads may have, from which they are wanted. [default]
      PADS_SHARE = 0.8
      # A disc falls due when it is no thicker than this share of its least thickness. [default]
      DISC_SHARE = 1.05

      # @param sheet [Circuit::Sheet]; machine_kind [String] of machine_kinds.yml; use [String] of machine_uses.yml
      # @param shop_months [Integer, nil] the shop's own longest interval between changes of fluid
      # @param today [Date] on which an unknown change counts as due
      def initialize(sheet, machine_kind:, use:, shop_months:, today:)
        @sheet = sheet
        @machine_kind = machine_kind
        @most_months = Fluid::ChangeDue.most_months(shop_months, use)
        @today = today
        freeze
      end

      # @return [Array<Due>] soonest first
      def to_a
        [fluid, *Tables.rows("intervals").flat_map { |row| dues(row) }, *pads, *discs].sort_by(&:on)
      end

      private

      def fluid
        change = Fluid::ChangeDue.new(@sheet, today: @today, most_months: @most_months).dates.first
        Due.new(kind: "fluid", label: "Full change of fluid", on: change[:on], why: change[:why]).freeze
      end

      # A caliper whose pads somebody measured, and found nearly used up.
      def pads
        @sheet.parts_of("caliper").filter_map do |part|
          worn, life = @sheet.values(part).values_at("pad_wear", "pad_life")
          next if worn.source == Circuit::Source::DEFAULT || worn.value < PADS_SHARE * life.value
          Due.new(kind: "pads", label: "Pads: #{Circuit::Places.name(part)}", part: part["id"], on: @today,
            why: "#{Wording.figures(worn.value)} of #{Wording.figures(life.value)} mm worn.").freeze
        end
      end

      # Discs that were measured and are nearly as thin as they may be.
      def discs
        Close::Discs.new(@sheet, {}).all.filter_map do |disc|
          thickness, least = disc.thickness_mm, disc.least_mm
          next unless thickness && least && thickness <= DISC_SHARE * least
          Due.new(kind: "disc", label: "Disc: #{disc.label}", part: disc.part, on: @today,
            why: "#{Wording.figures(thickness)} mm at its thinnest, at least #{Wording.figures(least)} mm.").freeze
        end
      end

      # One for each part that the row is for and whose day is known.
      def dues(row)
        @sheet.parts_of(row["part"]).filter_map do |part|
          values = @sheet.values(part)
          next if row["hoses"] && !row["hoses"].include?(values["kind"].value)
          from = day(values, row["field"]) || day(values, row["or"])
          from && Due.new(kind: row["id"], label: labelled(row, part), part: part["id"], on: from >> months(row),
            why: "#{months(row)} months after #{Day.said(from)}.").freeze
        end
      end

      def labelled(row, part)
        (row["part"] == "line" && part["label"]) ? "#{row["label"]}: #{part["label"]}" : row["label"]
      end

      # @return [Date, nil]
      def day(values, field)
        typed = field && values[field]&.value
        Date.iso8601(typed) unless typed.nil? || typed == Fluid::Age::UNKNOWN
      end

      def months(row)
        row["short_for"]&.include?(@machine_kind) ? row["months_short"] : row["months"]
      end
    end
  end
end
