# frozen_string_literal: true

module App
  # The journal of an open job that comes from an archive, admitted entry by entry as if each were posted. What is not
  # admitted stays out and is listed, and the job comes in on hold.
  class ArchivedJournal
    # @attr entry [Hash] as it was archived; why [String] it was refused
    Refused = Struct.new(:entry, :why, keyword_init: true)

    HELD = "brought in from an archive without %d of its entries, which were refused: look at each"
    BY = "archive"

    # @param entry [Hash] as it is exported
    # @return [Sandbag::Job::Entry]
    def self.entry(entry, position: nil)
      given = entry.slice("id", "stage", "kind", "at", "by", "corrects").transform_keys(&:to_sym)
      Sandbag::Job::Entry.new(corrects: nil, **given, position: position,
        data: Store::Document.exported(entry["data"]))
    end

    # @param job [Hash] as it is exported; state [Sandbag::Job::State] of its circuit, with no entry yet
    def initialize(job, state)
      @job = job
      @entries = []
      @refused = []
      @state = state
      job["entries"].each { |entry| admit(entry) }
      freeze
    end

    # @return [Array<Refused>]
    attr_reader :refused

    # @return [Array<Hash>] entries that are kept, as they were archived; on hold where some were refused
    def entries
      (refused.empty? || @state.signed?) ? @entries : @entries + [held]
    end

    private

    def admit(entry)
      read = Sandbag::Job::Admission.new(@state).admit(ArchivedJournal.entry(entry, position: @entries.size + 1))
      @state = @state.with(read)
      @entries << entry
    rescue Sandbag::Refusal => refusal
      @refused << Refused.new(entry: entry, why: refusal.message)
    end

    def held
      last = @job["entries"].last
      {"id" => "#{@job["id"]}.archive"[0, 80], "stage" => "close", "kind" => "held", "at" => last["at"], "by" => BY,
       "data" => JSON.parse(Store::Document.dump({"reason" => format(HELD, refused.size), "name" => "Archive"}))}
    end
  end
end
