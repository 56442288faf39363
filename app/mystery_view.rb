# frozen_string_literal: true

module App
  # A lever whose fault is looked for, as the page shows it: what the rider says, what Ask makes of what was found, and
  # what can be named.
  class MysteryView
    # What Ask shows that is shown of it too.
    SHOWN = %i[findings askable ranks].freeze

    # @param id [String]; search [MysterySearch]
    def initialize(id, search)
      @id = id
      @search = search
      @mystery = search.mystery
    end

    # @return [Hash]
    def to_h
      view = Sandbag::Ask::View.new(@search.ask)
      {
        id: @id,
        circuit: @mystery.template.slice("id", "label"),
        says: @mystery.says,
        minutes: @search.tests.sum { |row| row["minutes"] },
        tried: @search.tests.map { |row| row["id"] },
        **view.to_h.slice(*SHOWN),
        next_tests: view.offers(@search.next_tests),
        causes: @mystery.possible.map { |code| Sandbag::Tables.find("causes", code).slice("id", "label") }
      }
    end

    # @param named [String] code of a cause
    # @return [Hash] whether it is hidden there; and all that is
    def truth(named)
      hidden = @mystery.causes
      {right: hidden.include?(named), causes: hidden.map { |code| cause(Sandbag::Tables.find("causes", code)) }}
    end

    private

    def cause(row)
      {**row.slice("id", "label"), route: Sandbag::Job::Route.find(row["routes"].first).label}
    end
  end
end
