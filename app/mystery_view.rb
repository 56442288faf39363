# frozen_string_literal: true

module App
  # A lever whose fault is looked for, as the page shows it: what can be tried, what came of it, and how causes rank.
  class MysteryView
    # How many causes stand in the ranking.
    RANKED = 5

    # @param id [String]; search [MysterySearch]
    def initialize(id, search)
      @id = id
      @search = search
    end

    # @return [Hash]
    def to_h
      {
        id: @id,
        says: @search.mystery.says,
        minutes: @search.tests.sum { |row| row["minutes"] },
        tried: @search.tests.size,
        tests: Sandbag::Rig::LeverTests.rows(@search.mystery.side).map { |row| test(row) },
        ranks: @search.diagnosis.ranks.first(RANKED).map { |rank|
          {id: rank.cause["id"], label: rank.cause["label"], share: rank.share}
        },
        causes: Sandbag::Rig::Mystery.causes(@search.mystery.side).map { |code| Sandbag::Knowledge.find("causes", code).slice("id", "label") }
      }
    end

    # @param named [String] code of a cause
    # @return [Hash] whether it is hidden there; and all that is
    def truth(named)
      hidden = @search.mystery.causes
      {right: hidden.include?(named), causes: hidden.map { |code| cause(Sandbag::Knowledge.find("causes", code)) }}
    end

    private

    def cause(row)
      {**row.slice("id", "label"), route: Sandbag::Job::Route.find(row["routes"].first).label}
    end

    def test(row)
      {
        id: row["id"], label: row["label"], how: row["how"], minutes: row["minutes"],
        walk: Sandbag::Knowledge.find("walks", row["walk"])["label"], best: best.include?(row["id"]), said: said(row)
      }.compact
    end

    def said(row)
      return unless @search.tried?(row["id"])
      value = @search.value(row["id"])
      value ? row["values"].fetch(value) : NOTHING
    end
    NOTHING = "Nothing to tell"

    def best
      @best ||= @search.best
    end
  end
end
