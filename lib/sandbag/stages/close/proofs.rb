# frozen_string_literal: true

module Sandbag
  module Close
    # What the other stages, and the readings of Close, say of a gate: never asked again where they know.
    class Proofs
      # @param close [Stage]; scope [Scope]
      def initialize(close, scope)
        @close = close
        @job = close.job
        @scope = scope
        freeze
      end

      # @param row [Hash] of gates.yml that is settled by computing
      # @return [Array(Boolean, String)] whether the gate stands, and why not
      def computed(row)
        why = fault(row["id"])
        [why.nil?, why]
      end

      # @param row [Hash] of gates.yml
      # @return [Array(Boolean, String), nil] nil where it is unknown: it is asked
      def known(row)
        return fitted(row) if @scope.proved?(row)
        reading(row["proof"]) || tried(row["test"])
      end

      private

      def fault(id)
        feel = @job.feel
        case id
        when "undone" then @job.ledger.faults.first
        when "stop" then @job.stop || uncured
        when "sessions" then @close.sessions.fault
        when "fluid_age" then FluidAge.fault(@job)
        when "fluid" then @job.choose.fluid ? @job.choose.fluid_refusal : "no fluid chosen"
        when "batch" then ("type the batch, or take the bottle off the Shelf" unless @close.batch)
        when "feel" then (feel.unresolved || feel.waits_for unless feel.passed?)
        when "hold" then ("the hold test is still to do, or failed" unless feel.held?)
        when "hose" then @job.strip.setup.hose_fault
        when "leak" then @close.leak_watch.why
        when "recheck" then ("pick a day" unless @close.recheck_on)
        else undone(id)
        end
      end

      # Gates that are a stage of their own.
      STAGES = {
        "stripped" => "strip", "measured" => "measure", "built" => "build", "fitted" => "fit", "bled" => "bleed"
      }.freeze

      def undone(id)
        stage = @job.stages.fetch(STAGES.fetch(id))
        return stage.waits_for unless stage.done?
        taken_back(id, stage)
      end

      # What was looked at, or fetched, before the work of a stage began, and was taken back since.
      def taken_back(id, stage)
        return stage.checks.before_fluid if id == "bled"
        fetch = stage.wanting.first if id == "stripped"
        "still to fetch: #{Wording.inside(fetch.label)}" if fetch
      end

      def uncured
        cure = @close.cures.first
        cure && "#{cure.label}: nobody has confirmed that it is put right."
      end

      def fitted(row)
        open = @scope.fit.open(row["proof"])
        [open.empty?, open.first]
      end

      # A reading that stands for the gate, where somebody took it.
      def reading(proof)
        case proof
        when "pump"
          pump = @job.feel.pump&.to_h
          pump && [pump[:pass], (pump[:why] unless pump[:pass])]
        when "level"
          level = @close.level
          [level.fault.nil?, level.fault] if level.read?
        when "disc"
          # a disc that is thick enough still has to be looked at
          thin = @close.discs.fault
          [false, thin] if thin
        end
      end

      # @param ids [Array<String>, nil] of feel_tests.yml; a circuit has one of them
      def tried(ids)
        test = ids&.filter_map { |id| @job.feel.tests.find(id) }&.first
        return unless test&.answer
        [test.good?, (test.row["answers"].fetch(test.answer) unless test.good?)]
      end
    end
  end
end
