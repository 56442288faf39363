# frozen_string_literal: true

module Sandbag
  module Close
    # Release gates and the signature.
    class Stage < Job::Stage
      # Everything else must stand first: nothing is wheeled or ridden on an unproven lever.
      LAST = "function"

      # @attr row [Hash] of gates.yml; met [Boolean]; why [String, nil] why not; proved [Boolean] by Fit
      Gate = Struct.new(:row, :met, :why, :proved, keyword_init: true) do
        def id
          row["id"]
        end

        def label
          row["label"]
        end

        # Worked out, here or where another stage proved it.
        def computed?
          row["settled"] == "computed" || proved
        end
      end

      # @return [Array<Gate>] every gate that applies
      def gates
        @gates ||= Knowledge.table("gates").select { |row| applies?(row) }.map { |row| gate(row) }.freeze
      end

      # @return [Job::Entry, nil]
      def signature
        entries.last("signed")
      end

      def signed?
        !signature.nil?
      end

      def done?
        signed?
      end

      def ready?
        gates.all?(&:met)
      end

      def waits_for
        return if signed?
        open = gates.find { |gate| !gate.met }
        open ? Wording.inside(open.label) : "a signature"
      end

      # @return [Array<Ask::Flags::Flag>] what this job was to cure and nobody has confirmed
      def cures
        job.ask.flags.standing
      end

      # Refuses to confirm what is computed, a cure before the work is done, a function test before the lever is
      # proven, and a signature over an open gate.
      def admit(entry)
        case entry.kind
        when "gate" then admit_gate(entry.data)
        when "cured" then admit_cure(entry.data["flag"])
        else refuse_open(gates, "cannot be signed")
        end
      end

      private

      # A gate about work the job does not touch is left out.
      def applies?(row)
        return false if row["only_opened"] && !job.ask.opened?
        return false if row["only_sole"] && !job.ask.second_person?
        return false if row["only_left"] && job.route&.handles_fluid? != false
        return false if row["only_tested"] && !job.route&.tests&.include?(row["id"])
        return false if row["only_estimated"] && (fit.nil? || fit.torques.estimates.empty?)
        return false if row["safety"] && !row["safety"].include?(job.sheet.kind.safety)
        return false if optional?(row) && !proved?(row)
        row["stage"].nil? || job.stages.key?(row["stage"])
      end

      def gate(row)
        proved = row["settled"] == "known" && proved?(row)
        met, why =
          if proved
            proof(row)
          else
            (row["settled"] == "computed") ? computed(row["id"]) : [confirmed?(row["id"]), nil]
          end
        Gate.new(row: row, met: met, why: why, proved: proved).freeze
      end

      # Asked only where Fit has to do with it.
      def optional?(row)
        row["only_fitted"] || (row["always"] && !row["always"].include?(job.sheet.kind.safety))
      end

      def fit
        job.stages["fit"]
      end

      def proved?(row)
        !fit.nil? && fit.covers?(row["proof"])
      end

      # @return [Array(Boolean, String)]
      def proof(row)
        open = fit.open(row["proof"])
        [open.empty?, open.first]
      end

      # @return [Array(Boolean, String)] whether a gate is open to the road, and why not
      def computed(id)
        feel = job.feel
        case id
        when "stop" then [job.stop.nil? && cures.empty?, job.stop ||
          cures.first&.then { |flag| "#{flag.label}: nobody has confirmed that it is put right." }]
        when "fluid_age" then [fluid_age.nil?, fluid_age]
        when "fluid" then [job.choose.fluid_right?, ("no fluid chosen" unless job.choose.fluid)]
        when "measured" then [job.measure.done?, job.measure.waits_for]
        when "built" then [job.build.done?, job.build.waits_for]
        when "fitted" then [fit.done?, fit.waits_for]
        when "bled" then [job.bleed.done?, job.bleed.waits_for]
        when "feel" then [feel.passed?, (feel.unresolved || feel.waits_for unless feel.passed?)]
        when "hold" then [feel.held?, ("the hold test is still to do, or failed" unless feel.held?)]
        end
      end

      def fluid_age
        @fluid_age ||= [FluidAge.fault(job)]
        @fluid_age.first
      end

      def admit_cure(id)
        unless cures.any? { |flag| flag.id == id }
          raise Refusal.at("data/flag", "#{id} is not up, or lets nothing go on", cures.map(&:id).join(", "))
        end
        open = job.stages.values.find { |stage| stage.id != self.id && !stage.done? }
        raise Refusal.at("data/flag", "not yet: #{open.waits_for}", "the work of this job first") if open
      end

      # A confirmation made before the last stroke no longer holds.
      def confirmed?(id)
        entry = entries.of("gate").reverse_each.find { |each| each.data["gate"] == id }
        !entry.nil? && entry.data["met"] && entry.position.to_i > job.bleed.last_disturbed.to_i
      end

      def admit_gate(data)
        gate = gates.find { |each| each.id == data["gate"] }
        raise Refusal.at("data/gate", "this job has no gate “#{data["gate"]}”", gates.map(&:id).join(", ")) unless gate
        if gate.computed?
          raise Refusal.at("data/gate", "#{gate.label} is worked out, not confirmed", "a confirmed gate")
        end
        return unless data["gate"] == LAST && data["met"]
        refuse_open(gates.reject { |each| each.id == LAST }, "no function test yet")
      end

      def refuse_open(among, what)
        open = among.reject(&:met)
        return if open.empty?
        raise Refusal.new(open.map do |gate|
          Refusal::Problem.new(pointer: "gates/#{gate.id}",
            message: "#{what}: still open: #{Wording.inside(gate.label)}", accepted: gate.row["detail"])
        end)
      end
    end
  end
end
