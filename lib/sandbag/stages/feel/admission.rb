# frozen_string_literal: true

module Sandbag
  module Feel
    # Whether a reading, a test or an acceptance may join the readings of a lever.
    class Admission
      # @param feel [Stage] before the entry
      def initialize(feel)
        @feel = feel
        freeze
      end

      # Refuses to read a lever that has no fluid behind it, to set aside what is no reading, and to accept a verdict
      # that is not marginal.
      def admit(entry)
        refuse_unreadable if READ.include?(entry.kind)
        case entry.kind
        when "set_aside"
          known = @feel.entries.of(*Stage::READINGS).flat_map { |each| @feel.readings_of(each) }
            .any? { |reading| reading.id == entry.data["entry"] }
          raise Refusal.at("data/entry", "there is no such reading", "the id of a reading of this job") unless known
        when "accepted"
          unless @feel.verdict == "marginal"
            raise Refusal.at(
              "kind",
              "only a marginal #{@feel.control["noun"]} is accepted with a reason",
              "a marginal verdict"
            )
          end
        when "test" then @feel.tests.admit(entry.data)
        when "curve" then admit_curve(entry.data)
        when "squeeze" then admit_squeeze(entry.data)
        when "hold_series" then Refusal.within("data") { HoldSeries.check(*entry.data.values_at("times", "travels")) }
        when "pump" then Refusal.within("data") {
          Pump.new(entry.data["travels"], entry.data["rest"], @feel.job.sheet.kind)
        }
        when "preload" then admit_preload
        when "lift"
          raise Refusal.at("kind", "a brake has no lift", "force and travel readings") unless @feel.clutch?
        end
      end

      # Taken at the lever.
      READ = [*Stage::MEASURED, "test", "preload"].freeze

      private

      def refuse_unreadable
        why = @feel.job.ledger.unreadable
        return unless why
        raise Refusal.at("kind", "nothing can be read at the #{@feel.control["noun"]}: #{why}", "the bleed first")
      end

      def admit_curve(data)
        return if data["forces"].size == data["travels"].size
        raise Refusal.at("data/travels", "#{data["travels"].size} travels for #{data["forces"].size} forces",
          "one for each")
      end

      def admit_squeeze(data)
        admit_preload
        Refusal.within("data") { @feel.hand.admit(data) }
      end

      def admit_preload
        return unless @feel.clutch?
        raise Refusal.at("kind", "a clutch is judged by its lift, or in gear", "a brake")
      end
    end
  end
end
