# frozen_string_literal: true

module Sandbag
  module Feel
    # What the lever is judged with, then each reading or look that it takes, then the hold.
    class Now < Job::Now
      MEANS = {"gauge" => "A force gauge or a luggage scale", "hung" => "Bottles or weights to hang on it",
               "hand" => "Hands and a ruler only"}.freeze
      # Rulers that there are, mm between marks.
      STEPS_MM = [0.5, 1.0, 0.1].freeze

      private

      def cards
        why = @job.ledger.unreadable
        return [here("unreadable", Wording.sentence(why))] if why
        return judge unless @stage.passed?
        return [hold] unless @stage.held?
        [here("tests", Wording.sentence(@stage.waits_for), room: "tests")]
      end

      def judge
        return clutch if @stage.clutch?
        return [means] unless @stage.means || @stage.verdict || @stage.report.begun?
        return by_hand if @stage.means == "hand"
        return [weights] if @stage.means == "hung" && @stage.hung.nil?
        return [ruler] if @stage.means == "hung" && @stage.ruler_step_mm.nil?
        force_n = @stage.report.next_force
        [force_n ? pull(force_n) : here("verdict", Wording.sentence(@stage.waits_for))]
      end

      def means
        question("means", "What is the #{@stage.control["noun"]} judged with?",
          MEANS.map { |value, label| [label, entry("means", by: value)] })
      end

      def weights
        reading("weights", "What is there to hang on it?", entry("weights"), name: "masses",
          detail: "Each piece once, in kilograms, or litres of water: 0.5 L 1.5 L 5 kg.")
      end

      def ruler
        question("ruler", "How far apart are the marks of the ruler?",
          STEPS_MM.map { |step| [Said.mm(step, "g"), entry("ruler", step: step)] })
      end

      # One more reading, at the force that says most.
      def pull(force_n)
        load = @stage.hung&.load(force_n)
        detail = Wording.sentence(@stage.waits_for) if @stage.verdict.nil?
        return hang(load, detail) if load
        reading("pull", "#{Wording.sentence(@stage.control["press"])} with this force, and read the travel",
          entry("reading", force: force_n.round(1)), name: "travel", unit: "mm",
          figure: Said.n(force_n.round(1), "g"), detail: detail)
      end

      def hang(load, detail)
        pieces = load[:pieces_kg].map { |piece| Said.figure(piece, :load, "g") }
        reading("hung", "Hang this at the finger point, square to the lever, and read the travel",
          entry("hung", kg: load[:kg]), name: "travel", unit: "mm", figure: Said.figure(load[:kg], :load, "g"),
          detail: (pieces.size > 1) ? "#{pieces.join(" and ")} together." : detail)
      end

      # What a hand, a ruler and a clock tell, in its order.
      def by_hand
        return [ruler] if @stage.ruler_step_mm.nil?
        hand = @stage.hand
        return [here("hand", Wording.sentence(@stage.waits_for), room: "hand")] if hand.bad?
        return [here("squeeze", "Read its travel at a light pull and at a firm one", room: "hand")] unless hand.begun?
        hand.items.select { |item| item.good.nil? }.map { |item| card_of(item) }
      end

      def card_of(item)
        case item.id
        when "pump" then here("pump", "Five quick pulls: read the travel of each", room: "pump")
        when "hold" then hold
        else test(@stage.tests.find(item.id))
        end
      end

      # In gear, and where it bites; its lift where it can be reached.
      def clutch
        return [here("verdict", Wording.sentence(@stage.waits_for), room: "tests")] if @stage.verdict
        open = @stage.clutch_tests.reject(&:good?)
        [*open.map { |each| test(each) }, (lift if @stage.lift_reachable?)].compact
      end

      def test(asked)
        question("test.#{asked.id}", asked.row["label"], each_answer(asked.row["answers"], "test", test: asked.id),
          detail: asked.row["how"], caution: (Wording.sentence(asked.row["limit"]) if asked.bad?))
      end

      def lift
        reading("lift", "Measure the lift at the slave", entry("lift"), name: "lift", unit: "mm",
          detail: "Only where a depth gauge reaches it.")
      end

      def hold
        reading("hold", "Hold it for #{Tables::Figures.said("hold_time")}: how far does it creep?", entry("hold"),
          name: "creep", unit: "mm", figure: Said.n(@job.sheet.kind.hold_n, "g"),
          caution: (@stage.hold[:why] if @stage.hold))
      end
    end
  end
end
