# frozen_string_literal: true

module Sandbag
  module Job
    # What a job takes: a row of knowledge/routes.yml. Code asks a route what it does, never which one it is.
    class Route
      # Names a plan gives a stage that is done only in part: Strip as protection and access, Measure as the
      # comparison of new with old.
      PARTIAL = {"protect" => "strip", "compare" => "measure"}.freeze

      # @attr opens [Array<String>] what it opens, of Circuit::Places::OPENED; at [Array<String>] kinds of place it can
      #   work at
      attr_reader :id, :label, :does, :why, :plan, :opens, :at, :fluid, :steps, :things, :part, :condemned, :tools,
        :renews, :tests, :takes, :moves

      # @return [Array<Route>]
      def self.all
        @all ||= Tables.rows("routes").map { |row| new(row) }.freeze
      end

      # @return [Route, nil]
      def self.find(id)
        all.find { |route| route.id == id }
      end

      # The route of a machine that goes no further here.
      def self.referral
        all.find(&:stops?)
      end

      # The first of those that take a part apart.
      # @param part [String] master or slave
      def self.apart(part)
        all.find { |route| route.apart? && route.part == part }
      end

      # @param row [Hash] of routes.yml
      def initialize(row)
        @row = row
        @id, @label, @does, @why, @plan, @fluid, @steps, @things =
          row.values_at(*%w[id label does why plan fluid steps things])
        @opens = row.fetch("opens", [])
        @at = row.fetch("at", [])
        @part = row["part"]
        @condemned = row["condemned"]
        @tools = row.fetch("tools", [])
        @renews = row.fetch("renews", [])
        @tests = row.fetch("tests", [])
        @takes = row.fetch("takes", [])
        @moves = row.fetch("moves", [])
        @gates = row["gates"]
        freeze
      end

      # @return [Array<String>] the stages of its plan that there are, in the order of the plan
      def stages
        plan.map { |id| PARTIAL.fetch(id, id) }.uniq.select { |id| Stage.of(id) }
      end

      # @param kind [Circuit::Kind]
      # @return [Boolean] a circuit of this kind can have it
      def suits?(kind)
        kind.suits?(@row)
      end

      # It looks again after another job, and takes nothing to pieces.
      def again?
        @row.fetch("again", false)
      end

      # A release gate is part of it.
      # @param id [String] of gates.yml
      def gate?(id)
        @gates.nil? || @gates.include?(id)
      end

      # The job goes no further here.
      def stops?
        @row.fetch("stops", false)
      end

      # A joint is opened: the circuit is filled again and bled from the master outwards.
      def opens?
        opens.any?
      end

      # A hose is renewed together with the other of a pair.
      def pair?
        @row.fetch("pair", false)
      end

      # Fluid is drained, filled or flushed.
      def handles_fluid?
        fluid != "left"
      end

      # Its part comes apart; else it only comes off, if there is one.
      def apart?
        @row["comes"] == "apart"
      end

      def far_end?
        part == "slave"
      end

      # Fluid goes through the nipples again before the machine goes.
      def bleeds?
        plan.include?("bleed")
      end

      def renews?(what)
        renews.include?(what)
      end

      # Machine and mechanic are protected although nothing comes apart: Strip without a strip.
      def protects?
        plan.include?("protect")
      end

      # @param id [String] of a step or part group of a construction
      # @return [Boolean] the job may take it; most take whatever the unit has
      def leads?(id)
        !@row.key?("only") || @row["only"].include?(id)
      end

      # Something new is compared with the old before anything is opened.
      def compares?
        plan.include?("compare")
      end

      # @return [Circuit::Kind, nil] the kind of circuit that an added cylinder makes; the one that is there stays as
      #   it is
      def adds
        @row["adds"] && Circuit::Kind.find(@row["adds"])
      end

      # The size of what goes on is the first question.
      def size_first?
        @row.key?("size")
      end

      # No way on without a size that was chosen.
      def size_wanted?
        @row["size"] == "wanted"
      end
    end
  end
end
