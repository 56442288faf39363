# frozen_string_literal: true

module Sandbag
  module Rig
    # A simulated circuit with a hidden truth that fits the record: what the stand-in instruments read. The same seed
    # has the same truth, and nothing here is chance.
    class Circuit
      # How far the truth lies from what age predicts, as a share.
      SPREAD = 0.5

      # @param sheet [Sandbag::Circuit::Sheet]; today [Date]
      # @param seed [String] names the machine: one circuit, one truth
      def initialize(sheet, today:, seed:)
        @sheet = sheet
        @years = Sandbag::Fluid::Age.years(sheet.value("fluid", "changed_on"), today) || UNKNOWN_YEARS
        @seed = seed
        freeze
      end

      # An undated circuit is taken for an old one.
      UNKNOWN_YEARS = 3.0

      # How much a lever may hide: air, mL; how much softer than the table; what rubs at the finger, N; early give,
      # times the running clearance; and how far its spring is off. [default]
      AIR_ML, SOFTER, RUBS_N, GIVE, SPRING = 0.02, 0.15, 4.0, 0.02, 0.2
      # Air sits so far down the first way. [default]
      AIR_AT = 0.5

      # @return [Simulation] the same circuit, to be worked
      def running
        faults = Faults.new(softer: 1 + SOFTER * share("softer"), rubs_n: RUBS_N * share("rubs"),
          give: GIVE * share("give"), spring: 1 + SPRING * even("spring"))
        at = AIR_AT * Plumbing.new(@sheet).paths.first.length_mm
        Simulation.new(@sheet, air: [Slug.new(ml: AIR_ML * share("air"), path: 0, at_mm: at)], faults: faults,
          water: water_percent)
      end

      # @param instrument [String]; place [String, nil] of gauge_places.yml, for a gauge
      # @return [Float] what is there to be read
      # Refuses a place where there is nothing to be read.
      def truth(instrument, place)
        return water_percent if instrument == "moisture_pen"
        return torque_nm(place.to_s) if instrument == "torque_wrench"
        return ohms(place) if instrument == "continuity_meter"
        row = Tables.fetch("gauge_places", place, "place", "a gauge is not held to “#{place}”")
        (row["part"] == "bore") ? bore_mm(row) : piston_mm(row)
      end

      # How far a hand may stop from the figure it set, as a share of it.
      HAND = 0.12

      # @param fastener [String] of the torque list
      # @return [Float] N·m that a hand came to which aimed at its figure
      # Refuses a fastener the circuit has not, or that has no figure.
      def torque_nm(fastener)
        range = Fastening::TorqueTable.of(@sheet).range(fastener) if Fastening::Facts.figure_place(@sheet, fastener)
        unless range
          raise Refusal.at("place",
            "“#{fastener}” has no figure here", "a fastener of the torque list, with its figure")
        end
        range.aim * (1 + HAND * even("torque #{fastener}"))
      end

      CLOSED_OHMS = 0.3
      OPEN_OHMS = 20_000_000.0

      # @param state [String] rest or pulled
      # @return [Float] Ω across the switch
      def ohms(state)
        case state
        when "rest" then OPEN_OHMS
        when "pulled" then CLOSED_OHMS * (1 + share("switch"))
        else raise Refusal.at("place", "a switch is not read at “#{state}”", "rest, pulled")
        end
      end

      # @return [Float] water in the fluid, % by volume
      def water_percent
        estimate = Fluid::WaterEstimate.of(@sheet, @years)[:percent]
        [estimate * (1 + SPREAD * even("water")), Fluid::WaterEstimate::MOST_PERCENT].min
      end

      # Wear of a bore that has seen dirty fluid, at its worst, mm; the middle wears most, and more across than along.
      BORE_WEAR_MM = 0.05
      LEVEL_SHARE = {1 => 0.4, 2 => 1.0, 3 => 0.6}.freeze
      ACROSS_SHARE = 1.25
      PISTON_WEAR_MM = 0.03

      # @return [Float] from −1 to 1, the same for the same name
      def even(name)
        Rig.random("#{@seed}/#{name}").rand(-1.0..1.0)
      end

      private

      def nominal_mm
        @sheet.value("master", "bore")
      end

      def share(name)
        (even(name) + 1) / 2
      end

      def bore_mm(row)
        limits = Cylinder::WearLimits.new(nominal_mm)
        wear =
          BORE_WEAR_MM * share("bore wear") * LEVEL_SHARE.fetch(row["level"]) *
          ((row["direction"] == "across") ? ACROSS_SHARE : 1)
        limits.bore_new.sum / 2 + wear
      end

      def piston_mm(_row)
        Cylinder::WearLimits.new(nominal_mm).piston_new.sum / 2 - PISTON_WEAR_MM * share("piston wear")
      end
    end
  end
end
