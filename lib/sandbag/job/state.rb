# frozen_string_literal: true

module Sandbag
  module Job
    # A job as its journal tells it, on a circuit: its stages, each built when it is first asked for. Everything is
    # computed from the entries in force; nothing is kept.
    class State
      # Before a route is chosen: what most jobs have.
      USUAL_STAGES = %w[ask choose bleed feel close].freeze

      attr_reader :journal, :fitted, :lubricant, :machine_kind, :machine_use, :fluid_months, :schools,
        :last_good, :counted, :training, :two_controls, :others, :people

      # @param journal [Journal]
      # @param fitted [Circuit::Sheet] the circuit as the machine's record has it
      # @param lubricant [String] what the shop wets cups with, where fluid and rubber bear it
      # @param machine_kind [String, nil] of machine_kinds.yml; nil asks what is asked of any
      # @param machine_use [String, nil] of machine_uses.yml
      # @param fluid_months [Integer, nil] at most between full changes of fluid on this machine, where shop or use set
      #   it: Fluid::ChangeDue.most_months
      # @param schools [Hash{String => String}] what the shop holds with, see Airway::Schools
      # @param last_good [Hash, nil] at, and fit of the lever when the circuit was last signed off, see Feel::Baseline
      # @param training [Boolean] the machine is made up, or kept to learn on
      # @param two_controls [Boolean] another control works on the same far end
      # @param others [OtherCircuits] of the same machine
      # @param people [People] of the shop
      # @param counted [Bleed::Count, nil] strokes of the same job one entry ago
      def initialize(journal, fitted, lubricant: Fluid::Lubricants::USUAL, machine_kind: nil, machine_use: nil,
        fluid_months: nil, schools: {}, last_good: nil, training: false, two_controls: false,
        others: OtherCircuits.new, people: People.new, counted: nil)
        @journal = journal
        @fitted = fitted
        @lubricant = lubricant
        @machine_kind = machine_kind
        @machine_use = machine_use
        @fluid_months = fluid_months
        @schools = schools
        @last_good = last_good
        @training = training
        @two_controls = two_controls
        @others = others
        @people = people
        @counted = counted
        @built = {}
        freeze
      end

      # What it is folded on besides its journal and its circuit.
      STANDING =
        %i[lubricant machine_kind machine_use fluid_months schools last_good training two_controls others people].freeze

      # @return [Hash] each of STANDING
      def standing
        STANDING.to_h { |name| [name, public_send(name)] }
      end

      # The same job with one more entry, counting on from what was counted.
      # @return [State]
      def with(entry)
        State.new(journal.with(entry), fitted, **standing, counted: @built["bleed"]&.count)
      end

      STAGES.each { |id| define_method(id) { stage(id) } }

      # @return [Stage] by its id
      def stage(id)
        @built[id] ||= Stage.of(id).new(self)
      end

      # @return [Circuit::Sheet] the circuit with what the job chose
      def sheet
        choose.sheet
      end

      # @return [Route, nil] the route in force
      def route
        ask.route
      end

      # @return [Hash{String => Stage}] the stages this job has, in order
      def stages
        @built[:here] ||= (route ? route.stages.select { |id| stage(id).here? } : USUAL_STAGES)
          .to_h { |id| [id, stage(id)] }
          .freeze
      end

      # @return [String] id of the first stage that is not finished, or the last
      def current
        (stages.find { |_, stage| !stage.done? } || stages.to_a.last).first
      end

      # @return [Ledger] what was done to the machine, whatever the route is
      def ledger
        @built[:ledger] ||= Ledger.new(self)
      end

      # @return [Hash] see Headline
      def headline
        @built[:headline] ||= Headline.new(self).to_h.freeze
      end

      # Its fluid is changed at least once a year.
      def hard_use?
        used?("hard")
      end

      # Somebody else depends on it: a second person checks before release.
      def second_person_use?
        used?("second")
      end

      def signed?
        close.signed?
      end

      # The reason that sends the machine elsewhere, or nil.
      def stop
        ask.stop
      end

      # What keeps the machine here until this job has cured it, or is resumed; or nil.
      def do_not_use
        return if signed?
        on_hold_said || ask.do_not_use
      end

      # Not released, and not worked on until it is resumed.
      def on_hold?
        !close.held.nil?
      end

      # @return [String, nil]
      def on_hold_said
        "on hold, not released: #{close.held.data["reason"]}" if on_hold?
      end

      # Put away until the machine comes back from another workshop.
      def referred?
        !ask.referral.nil?
      end

      def waits_for
        return "nothing: signed off" if signed?
        return "the machine to come back" if referred?
        return on_hold_said if on_hold?
        return "another workshop: #{stop}" if stop
        stages.fetch(current).waits_for
      end

      private

      # @param column [String] of machine_uses.yml
      def used?(column)
        Tables.find("machine_uses", machine_use)&.fetch(column, false) || false
      end
    end
  end
end
