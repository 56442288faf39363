# frozen_string_literal: true

module App
  # Looking for what a mystery lever hides: what was tried on it, and the minutes that took.
  class MysterySearch
    FACTS = {"side" => "brake", "abs" => "none"}.freeze

    # @attr mystery [Sandbag::Rig::Mystery]; diagnosis [Sandbag::Ask::Diagnosis] from what was tried; minutes [Integer]
    attr_reader :mystery, :diagnosis, :minutes

    # @param id [String] names the lever: the same hides the same
    def initialize(id)
      @mystery = Sandbag::Rig::Mystery.new(id)
      @diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, FACTS)
      @minutes = 0
    end

    # Does a test on it, once.
    # @return [MysterySearch] self
    def try(finding)
      return self if diagnosis.findings.known?(finding)
      value = Sandbag::Rig::LeverTests.new(mystery).value(finding)
      @diagnosis = diagnosis.with(finding, value)
      @minutes += Sandbag::Knowledge.find("findings", finding)["minutes"]
      self
    end
  end
end
