# frozen_string_literal: true

module Sandbag
  module Job
    # What a job asks of each of its stages. A stage is a folder with a class `Stage` below this one and a class `View`
    # beside it; `Sandbag::STAGES` names it, and nothing else has to know.
    class Stage
      # @param id [String] of STAGES
      # @return [Class, nil] nil for a stage that nobody has built yet
      def self.of(id)
        room = id.capitalize
        Sandbag.const_get(room)::Stage if Sandbag.const_defined?(room)
      end

      # @return [String] one of STAGES
      def self.id
        @id ||= name.split("::")[-2].downcase.freeze
      end

      # What it asks of later stages, and why: stage => reason. Any stage may ask an earlier one.
      ASKS_LATER = {}.freeze
      # Earlier stages of the job that must have come far enough before its own work starts.
      RESTS_ON = [].freeze

      attr_reader :job, :entries

      # @param job [State] the job it is a stage of; its other stages are asked through it
      def initialize(job)
        @job = job
        @entries = job.journal.of(id)
      end

      def id
        self.class.id
      end

      # Whether this job has work here at all, once its route says so.
      def here?
        true
      end

      # @return [Boolean] nothing is left to do
      def done?
        raise NotImplementedError, "#{self.class} does not say when it is done"
      end

      # @return [Boolean] stages that rest on it may start
      def enough?
        done?
      end

      # @return [String, nil] what another stage has to finish before work starts here, and where
      def unready
        first = job.stages.values_at(*self.class::RESTS_ON).compact.find { |stage| !stage.enough? }
        first && "#{first.waits_for}, under #{first.id.capitalize}"
      end

      # @return [String, nil] the one thing to do next; nil when it is done
      def waits_for
        raise NotImplementedError, "#{self.class} does not say what it waits for"
      end

      # @return [String, nil] what came out wrong and is still open
      def unresolved
      end

      # Refuses, by field path, an entry that this stage does not take as things stand: see its Admission.
      # @param entry [Entry] with its data read
      def admit(entry)
        self.class.module_parent::Admission.new(self).admit(entry)
      end

      # @return [Hash] what the stage shows: shapes, figures in the core's units, words, what can be done now, cautions,
      #   and what can be taken back
      def view
        {
          **self.class.module_parent::View.new(self).to_h,
          now: self.class.module_parent::Now.new(self).to_a,
          cautions: Circuit::Advice.cautions(id, job.sheet, hard_use: job.hard_use?),
          recent: entries.recent(RECENT)
        }
      end
      # Entries that can be taken back without looking at the journal.
      RECENT = 30

      # @return [Module] the stage's room
      def self.module_parent
        Sandbag.const_get(name.split("::")[-2])
      end
    end
  end
end
