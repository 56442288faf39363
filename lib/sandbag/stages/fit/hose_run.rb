# frozen_string_literal: true

module Sandbag
  module Fit
    # One hose against its path (docs/physics.md 9): what it needs, what it has to spare, and how tightly it may bend.
    class HoseRun
      # Beyond the longest path, mm. [default] A steel tube is bent to its path and needs nothing beyond it.
      ALLOWANCE_MM = 15.0
      STIFF = %w[steel].freeze
      # More than this to spare looks for a place to catch, mm. [default]
      SPARE_MM = 60.0

      attr_reader :length_mm, :paths

      # @param length_mm [Float] of the hose, end to end
      # @param paths [Hash{String => Float}] position => length of its path there, mm
      # @param outside_mm [Float]; kind [String] of hose_bends.yml
      # @param bend_mm [Float, nil] tightest radius it is laid in
      def initialize(length_mm:, paths:, outside_mm:, kind:, bend_mm: nil)
        @length_mm = Measures.finite("length", length_mm)
        @paths = paths.transform_values { |length| Measures.finite("path", length) }.freeze
        @outside_mm = Measures.finite("outside", outside_mm)
        @kind = kind
        @bend_mm = bend_mm && Measures.finite("bend", bend_mm)
        freeze
      end

      # @return [Float, nil] mm that the hose must have
      def needs_mm
        paths.values.max + (STIFF.include?(@kind) ? 0 : ALLOWANCE_MM) if paths.any?
      end

      # @return [Float, nil] mm beyond what it needs; below zero it is too short
      def slack_mm
        length_mm - needs_mm if paths.any?
      end

      # @return [String, nil] id of the position that needs most
      def longest
        paths.max_by { |_, length| length }&.first
      end

      # @return [String, nil] short, fine or long
      def verdict
        return unless slack_mm
        return "short" if slack_mm.negative?
        (slack_mm > SPARE_MM) ? "long" : "fine"
      end

      # @return [String, nil] the verdict in words
      def says
        return unless slack_mm
        needs = "Needs #{Said.mm(needs_mm, 0)}"
        case verdict
        when "short" then "#{Said.mm(-slack_mm, 0)} too short. #{needs}. Use a longer hose."
        when "long" then "#{needs}, #{Said.mm(slack_mm, 0)} to spare: look for a place where it can catch."
        else "#{needs}, #{Said.mm(slack_mm, 0)} to spare"
        end
      end

      # @return [Float] mm, the tightest it may be bent
      def least_bend_mm
        Tables.find("hose_bends", @kind)["diameters"] * @outside_mm
      end

      # @return [Boolean, nil] nil where nobody measured it
      def bend_fine?
        @bend_mm && @bend_mm >= least_bend_mm
      end
    end
  end
end
