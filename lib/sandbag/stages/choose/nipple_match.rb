# frozen_string_literal: true

module Sandbag
  module Choose
    # A bleed nipple from the shelf against the threads of the circuit's nipples (docs/trade.md 2.4).
    module NippleMatch
      # Threads are written to half a millimetre.
      SAME_MM = 0.25

      # @param sheet [Circuit::Sheet]
      # @return [Array<Numeric>] thread of each nipple of the circuit, mm, each once
      def self.threads(sheet)
        Circuit::Places.of(sheet).of_kind("nipple").select { |place| place.fitting == "nipple" }
          .map { |place| sheet.values(place.part)["nipple_thread"].value }.uniq.sort
      end

      # @param fields [Hash] of the thing on the shelf; sheet [Circuit::Sheet]
      # @return [Array(String, String)] what is wrong with it, and what is only in doubt; each may be nil
      def self.objections(fields, sheet)
        read = fields["thread"][/\d+(?:[.,]\d+)?/]
        return [nil, "its thread, “#{fields["thread"]}”, has no size: compare it with the old one"] unless read
        size = read.tr(",", ".").to_f
        return [nil, nil] if threads(sheet).any? { |thread| (thread - size).abs <= SAME_MM }
        ["its thread is #{fields["thread"]}; here it is #{said(threads(sheet))}", nil]
      end

      # @return [String] threads as a mechanic writes them
      def self.said(threads)
        threads.map { |thread| format("M%g", thread) }.join(" and ")
      end
    end
  end
end
