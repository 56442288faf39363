# frozen_string_literal: true

module Sandbag
  module Airway
    # One way out of a circuit as it stands in the shop: its profile, its fluid at the shop's temperature, the nipple's
    # opening; and the same with something changed.
    class Way
      UNKNOWN_FAMILY = "glycol"
      WARM_C = 20.0

      extend Attributes

      attr_reader :profile, :fluid, :stroke_ml

      # How much more goes through where more is passed than is planned. [default]
      LONGER = 2

      # celsius: of the fluid; opening: of nipple_openings.yml, nil as the method has it; dry [Boolean] the circuit was
      # opened; longer [Boolean] twice the planned fluid goes through; loop_down, feed_up, turned, hose_raised
      # [Boolean]; raised_mm, tilted_mm: see HeightProfile
      attributes :sheet, :far_end, :celsius, :opening, :dry, :longer, :loop_down, :feed_up, :turned, :hose_raised,
        :raised_mm, :tilted_mm

      def initialize(sheet:, far_end:, celsius: WARM_C, opening: nil, dry: false, longer: false, loop_down: false,
        feed_up: false, turned: false, hose_raised: false, raised_mm: 0.0, tilted_mm: 0.0)
        @sheet = sheet
        @far_end = far_end
        @celsius = Measures.finite("celsius", celsius)
        @opening = opening
        @dry = dry
        @longer = longer
        @loop_down = loop_down
        @feed_up = feed_up
        @turned = turned
        @hose_raised = hose_raised
        @raised_mm = Measures.finite("raised", raised_mm)
        @tilted_mm = Measures.finite("tilted", tilted_mm)
        @profile = HeightProfile.new(sheet, far_end, loop_down: loop_down, feed_up: feed_up, raised_mm: @raised_mm,
          tilted_mm: @tilted_mm)
        @fluid = Fluid::FlowingFluid.of(family, celsius: @celsius)
        @stroke_ml = Circuit::Assembly.build(sheet).volume_per_stroke_ml
        @changed = {}
        freeze
      end

      # @return [Array<Way>] one for each far end
      def self.all(sheet, **given)
        sheet.far_ends.map { |part| new(sheet: sheet, far_end: part, **given) }
      end

      # @param change [String] of MethodVerdict::CHANGES
      # @return [Way] the same with that changed; made once, since every method asks for it
      def changed_by(change)
        @changed[change] ||= with(**{change.to_sym => {"opening" => "half", "celsius" => WARM_C}.fetch(change, true)})
      end

      # A change that was made already, or can change nothing here.
      def changed?(change)
        case change
        when "opening" then opening == "half"
        when "celsius" then celsius >= WARM_C
        when "longer" then longer
        when "loop_down" then !profile.high_spot?
        when "feed_up" then !profile.sag?
        else turned || profile.pocket_ml.zero?
        end
      end

      def end_label
        far_end["label"] || "Slave"
      end

      # @param leg [HeightProfile::Leg]
      # @return [Float] mL that are planned to go through it, by every point behind it
      def planned_ml(leg)
        (longer ? LONGER : 1) * plan.through_ml(leg.feed ? nil : leg.line)
      end

      # @param method [Hash] of bleed_methods.yml
      # @return [Drive]
      def drive(method)
        wide = (opening && method["opening"] != "shut") ? opening : method["opening"]
        Drive.new(method, profile, fluid: fluid, opening: Tables.find("nipple_openings", wide),
          stroke_ml: stroke_ml, hose_raised: hose_raised, dry: dry)
      end

      private

      def plan
        sheet.made([:plan, dry]) { Plan.new(sheet, opened: dry) }
      end

      # By the cap; what is not known is taken for glycol.
      def family
        stamped = Tables.find("fluids", sheet.value("fluid", "stamped"))
        stamped ? stamped["family"] : UNKNOWN_FAMILY
      end
    end
  end
end
