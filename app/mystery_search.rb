# frozen_string_literal: true

module App
  # Looking for what a mystery lever hides: what was tried on it, and the minutes that took.
  class MysterySearch
    FACTS = {"side" => "brake", "abs" => "none"}.freeze

    # @attr mystery [Sandbag::Rig::Mystery]; diagnosis [Sandbag::Ask::Diagnosis] from what was tried; minutes [Integer]
    #   of the tests; tests_done [Integer]
    attr_reader :mystery, :diagnosis, :minutes, :tests_done

    # @param id [String] names the lever: the same hides the same; pairs [Boolean] may hide two
    def initialize(id, pairs: true)
      @mystery = Sandbag::Rig::Mystery.new(id, pairs: pairs)
      @diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, FACTS)
      @tried = {}
      @minutes = @tests_done = 0
      hear
    end

    # Does a test on it, once.
    # @return [MysterySearch] self
    def try(finding)
      return self if tried?(finding)
      value = Sandbag::Rig::LeverTests.new(mystery).value(finding)
      @tried[finding] = value
      @diagnosis = diagnosis.with(finding, value) if value
      @minutes += Sandbag::Knowledge.find("findings", finding)["minutes"]
      @tests_done += 1
      self
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
      rows = Sandbag::Rig::LeverTests.rows.reject { |row| tried?(row["id"]) }
      Sandbag::Ask::NextTest.new(diagnosis, rows, named: named).best(1).map { |offer| offer.finding["id"] }
    end

    private

    # What happened lately is told when the machine is brought, if anything did.
    def hear
      @tried["history"] = mystery.history
      @diagnosis = diagnosis.with("history", mystery.history) if mystery.history
    end

    # What the rider's words call for.
    def named
      Sandbag::Ask::ComplaintWords.findings(mystery.says.join(" "))
    end
  end
end
