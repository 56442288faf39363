# frozen_string_literal: true

module Sandbag
  module Close
    # Release gates and the signature.
    class Stage
      # Gates that must stand before the function test: nothing is wheeled or ridden on an unproven lever.
      BEFORE_FUNCTION = %w[stop fluid measured built bled feel hold work leak level caps second].freeze

      # @param job [Job::State] the stages before this one
      def initialize(entries, job)
        @entries = entries
        @job = job
        worked_out = computed
        @gates = Knowledge.table("gates").select { |row| applies?(row) }.map { |row| gate_view(row, worked_out) }.freeze
        freeze
      end

      # @return [Array<Hash>] id, label, detail, settled, met, why, caution of every gate that applies
      attr_reader :gates

      def signature
        @entries.reverse.find { |entry| entry.kind == "signed" }
      end

      def signed?
        !signature.nil?
      end

      def done?
        signed?
      end

      def waits_for
        return if signed?
        unmet = gates.find { |gate| !gate[:met] }
        unmet ? unmet[:label].downcase : "a signature"
      end

      def unresolved
      end

      # Refuses to confirm what is computed, a function test before the lever is proven, and a signature over an unmet gate.
      def admit(entry)
        (entry.kind == "gate") ? admit_gate(entry.data) : admit_signature
      end

      def to_h
        {gates: gates, ready: gates.all? { |gate| gate[:met] }, signed_by: signature&.data&.fetch("name"), signed_at: signature&.at}.compact
      end

      private

      # A gate about work the job does not touch is left out.
      def applies?(row)
        return false if row["only_opened"] && !@job.ask.opened?
        return false if row["only_sole"] && !@job.ask.second_person?
        row["stage"].nil? || @job.stages.key?(row["stage"])
      end

      # @return [Hash{String => Array(Boolean, String)}] gate => met, and why not
      def computed
        {
          "stop" => [@job.stop.nil?, @job.stop],
          "fluid" => [@job.choose.fluid_right?, ("no fluid chosen" unless @job.choose.fluid)],
          "measured" => [@job.measure.done?, @job.measure.waits_for],
          "built" => [@job.build.done?, @job.build.waits_for],
          "bled" => [@job.bleed.done?, @job.bleed.waits_for],
          "feel" => [@job.feel.passed?, (@job.feel.unresolved || @job.feel.waits_for unless @job.feel.passed?)],
          "hold" => [@job.feel.held?, ("the hold test is still to do, or failed" unless @job.feel.held?)]
        }
      end

      def gate_view(row, worked_out)
        met, why = worked_out.fetch(row["id"]) { [confirmed?(row["id"]), nil] }
        {id: row["id"], label: row["label"], detail: row["detail"], settled: row["settled"], met: met, why: why,
         caution: row["caution"] && Knowledge.find("cautions", row["caution"])["text"]}.compact
      end

      # A confirmation made before the last stroke no longer holds.
      def confirmed?(gate)
        entry = @entries.reverse.find { |each| each.kind == "gate" && each.data["gate"] == gate }
        !entry.nil? && entry.data["met"] && entry.position.to_i > @job.bleed.last_disturbed.to_i
      end

      def admit_gate(data)
        gate = gates.find { |each| each[:id] == data["gate"] }
        raise Refusal.at("data/gate", "this job has no gate “#{data["gate"]}”", gates.map { |each| each[:id] }.join(", ")) unless gate
        raise Refusal.at("data/gate", "#{gate[:label]} is worked out, not confirmed", "a confirmed gate") if gate[:settled] == "computed"
        return unless data["gate"] == "function" && data["met"]
        refuse_unmet(gates.select { |each| BEFORE_FUNCTION.include?(each[:id]) }, "no function test yet")
      end

      def admit_signature
        refuse_unmet(gates, "cannot be signed")
      end

      def refuse_unmet(among, what)
        unmet = among.reject { |gate| gate[:met] }
        return if unmet.empty?
        raise Refusal.new(unmet.map do |gate|
          Refusal::Problem.new(pointer: "gates/#{gate[:id]}", message: "#{what}: #{gate[:label].downcase} is not met", accepted: gate[:detail])
        end)
      end
    end
  end
end
