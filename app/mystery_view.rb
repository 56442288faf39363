# frozen_string_literal: true

module App
  # A lever whose fault is looked for, as the page shows it: what can be tried, what came of it, and how causes rank.
  class MysteryView
    # How many causes stand in the ranking.
    RANKED = 5

    # @param id [String]; search [MysterySearch]
    def initialize(id, search)
      @id = id
      @diagnosis = search.diagnosis
      @minutes = search.minutes
    end

    # @return [Hash]
    def to_h
      {
        id: @id,
        minutes: @minutes,
        tests: Sandbag::Rig::LeverTests.rows.map { |row| test(row) },
        ranks: @diagnosis.ranks.first(RANKED).map { |rank|
          {id: rank.cause["id"], label: rank.cause["label"], share: rank.share}
        },
        causes: Sandbag::Rig::Mystery.causes.map { |code| Sandbag::Knowledge.find("causes", code).slice("id", "label") }
      }
    end

    private

    def test(row)
      value = @diagnosis.findings.values(row["id"]).first
      {
        id: row["id"], label: row["label"], how: row["how"], minutes: row["minutes"], best: row == best,
        said: value && row["values"].fetch(value)
      }.compact
    end

    # The test that would tell most for its minutes.
    def best
      offer = Sandbag::Ask::NextTest.new(@diagnosis, Sandbag::Rig::LeverTests.rows).best(1).first
      offer&.finding
    end
  end
end
