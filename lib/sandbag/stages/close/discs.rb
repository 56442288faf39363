# frozen_string_literal: true

module Sandbag
  module Close
    # How thick the discs are at their thinnest place, against the least marked on them (docs/trade.md 9.2). There
    # is no default: every disc has a figure of its own.
    class Discs
      # @attr part [String] caliper; label [String]; thickness_mm, least_mm [Float, nil] nil where nobody measured it or
      #   read it off the disc
      Disc = Struct.new(:part, :label, :thickness_mm, :least_mm, keyword_init: true) do
        def thin?
          !thickness_mm.nil? && !least_mm.nil? && thickness_mm < least_mm
        end

        def to_h
          {id: part, label: label, thickness_mm: thickness_mm, least_mm: least_mm, thin: thin?}.compact
        end
      end

      # Figure of a disc => field of its caliper in the machine's record.
      FIELDS = {"thickness" => "disc_thickness", "least" => "disc_least"}.freeze

      # @param sheet [Circuit::Sheet]; measured [Hash{String => Hash}] caliper => figure => mm, as measured in this job;
      #   else the machine's record counts
      def initialize(sheet, measured)
        @sheet = sheet
        @measured = measured
        @all = (sheet.clutch? ? [] : sheet.far_ends.map { |part| disc(part) }).freeze
        freeze
      end

      # @return [Array<Disc>] none on a clutch
      attr_reader :all

      # @return [String, nil] why the machine may not go
      def fault
        thin = all.find(&:thin?)
        return unless thin
        "#{Wording.inside(thin.label)}: the disc is #{Said.mm(thin.thickness_mm, 2)} at its thinnest, at least " \
          "#{Said.mm(thin.least_mm, 2)}: a new disc"
      end

      private

      def disc(part)
        Disc.new(part: part["id"], label: Circuit::Places.name(part),
          thickness_mm: figure(part, "thickness"), least_mm: figure(part, "least")).freeze
      end

      def figure(part, name)
        @measured.fetch(part["id"], {}).fetch(name) { @sheet.values(part)[FIELDS.fetch(name)]&.value }
      end
    end
  end
end
