# frozen_string_literal: true

module App
  # Looking for what a mystery lever hides: a job in memory that is only asked, by the same rules as any other, and
  # whose findings are what tests on the lever come out as.
  class MysterySearch
    # What happened lately is told when the machine is brought: no test.
    HEARD = "history"

    # mystery: [Sandbag::Rig::Mystery]
    attr_reader :mystery

    # @param id [String] names the lever: the same hides the same; template [String] of circuit_templates.yml
    # @param pairs [Boolean] may hide two
    def initialize(id, template: Sandbag::Rig::Mystery::TEMPLATE, pairs: true)
      @mystery = Sandbag::Rig::Mystery.new(id, template: template, pairs: pairs)
      @tests = Sandbag::Rig::LeverTests.new(mystery)
      @tried = {}
      @job = Sandbag::Job::State.new(Sandbag::Job::Journal.new([]), mystery.sheet)
      write("complaint", "text" => mystery.says.join(" "))
      find(HEARD, mystery.history) if mystery.history
    end

    # @return [Sandbag::Ask::Stage] of what was found so far
    def ask
      @job.ask
    end

    # Does a test on it, once.
    # @return [MysterySearch] self
    # Refuses what cannot be tested on such a circuit.
    def try(finding)
      return self if tried?(finding)
      value = @tests.value(finding)
      @tried[finding] = value
      find(finding, value) if value
      self
    end

    # @return [Array<Hash>] rows of findings.yml that were tried
    def tests
      @tried.keys.map { |id| Sandbag::Tables.find("findings", id) }
    end

    def tried?(finding)
      @tried.key?(finding)
    end

    # @return [String, nil] what a test came out as; nil where it said nothing
    def value(finding)
      @tried[finding]
    end

    # @return [Array<Sandbag::Ask::NextTest::Offer>] Ask's own, without what was tried and said nothing
    def next_tests
      @next_tests ||= ask.next_tests(@tried.keys)
    end

    # @return [Array<String>] what would tell most for its minutes: a finding, or those that are looked at together
    def best
      first = next_tests.first
      return [] unless first
      together = first.walk["together"] ? next_tests.select { |offer| offer.walk == first.walk } : [first]
      together.map { |offer| offer.finding["id"] }
    end

    private

    def find(finding, value)
      write("finding", "finding" => finding, "value" => value)
    end

    def write(kind, data)
      position = @job.journal.position + 1
      @job = @job.with(Sandbag::Job::Entry.new(id: "e#{position}", stage: "ask", kind: kind, data: data,
        at: Time.now.utc.iso8601, by: "", position: position))
      @next_tests = nil
    end
  end
end
