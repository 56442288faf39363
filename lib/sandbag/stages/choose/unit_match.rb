# frozen_string_literal: true

module Sandbag
  module Choose
    # A whole cylinder from the shelf against the one that was chosen: bore, push offset, construction and the rubber
    # in it.
    module UnitMatch
      # Push offsets are read to half a millimetre.
      OFFSET_MM = 0.5

      # @param fields [Hash] of the thing on the shelf; sheet [Circuit::Sheet] with what the job chose; family
      #   [String, nil]
      # @return [Array(String, String)] what is wrong with it, and what is only in doubt; each may be nil
      def self.objections(fields, sheet, family)
        [bore(fields, sheet) || offset(fields, sheet) || rubber(fields, family), construction(fields, sheet) ||
          unread(fields, family)]
      end

      def self.bore(fields, sheet)
        wanted = sheet.value("master", "bore")
        if (fields["bore"] - wanted).abs > KitMatch::SAME_MM
          "it is #{Said.mm(fields["bore"], "g")}; #{Said.mm(wanted, "g")} was chosen"
        end
      end

      def self.offset(fields, sheet)
        wanted = sheet.value("lever", "push_offset")
        has = fields["push_offset"]
        if has && (has - wanted).abs > OFFSET_MM
          "its push offset is #{Said.mm(has, "g")}; #{Said.mm(wanted, "g")} was chosen"
        end
      end

      def self.construction(fields, sheet)
        wanted = Cylinder::Construction.find(sheet.value("master", "construction"))
        unless fields["construction"] == wanted.id
          "it is a #{Wording.inside(Cylinder::Construction.find(fields["construction"]).label)}, the old one a " \
            "#{Wording.inside(wanted.label)}: lever, bracket and hose are compared first"
        end
      end

      def self.rubber(fields, family)
        "its seals are for #{fields["family"]}, the circuit is #{family}" if family && fields["family"] != family
      end

      def self.unread(fields, family)
        return "the fluid's family is not known: read the cap first" unless family
        "its push offset is not written down: measure it beside the old one" unless fields["push_offset"]
      end
      private_class_method :bore, :offset, :construction, :rubber, :unread
    end
  end
end
