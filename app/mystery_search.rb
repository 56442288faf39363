# frozen_string_literal: true

module App
  # Looking for what a mystery lever hides: what was tried on it, and the minutes that took.
  class MysterySearch
    # What happened lately is told when the machine is brought: no test.
    HEARD = "history"

    # @attr mystery [Sandbag::Rig::Mystery]; diagnosis [Sandbag::Ask::Diagnosis] from what was tried
    attr_reader :mystery, :diagnosis

    # @param id [String] names the lever: the same hides the same; side [String] brake or clutch; pairs [Boolean] may
    #   hide two
    def initialize(id, side: "brake", pairs: true)
      @mystery = Sandbag::Rig::Mystery.new(id, side: side, pairs: pairs)
      @diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, {"side" => side, "abs" => "none"})
      @tried = {}
      take(HEARD, mystery.history)
    end

    # Does a test on it, once.
    # @return [MysterySearch] self
    def try(finding)
      return self if tried?(finding)
      take(finding, Sandbag::Rig::LeverTests.new(mystery).value(finding))
      self
    end

    # @return [Array<Hash>] rows of findings.yml that were tried
    def tests
      (@tried.keys - [HEARD]).map { |id| Sandbag::Knowledge.find("findings", id) }
    end

    def tried?(finding)
      @tried.key?(finding)
    end

    # @return [String, nil] what a test came out as; nil where it said nothing
    def value(finding)
      @tried[finding]
    end

    # @return [Array<String>] what would tell most for its minutes: a finding, or those that are looked at together
    def best
      rows = Sandbag::Rig::LeverTests.rows(mystery.side).reject { |row| tried?(row["id"]) }
      Sandbag::Ask::NextTest.new(diagnosis, rows, named: named).best(1).map { |offer| offer.finding["id"] }
    end

    private

    def take(finding, value)
      @tried[finding] = value
      @diagnosis = diagnosis.with(finding, value) if value
    end

    # What the rider's words call for.
    def named
      Sandbag::Ask::ComplaintWords.findings(mystery.says.join(" "), mystery.side)
    end
  end
end
