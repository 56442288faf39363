# frozen_string_literal: true

module App
  # What a job card says, as titled lists of two-column rows.
  module JobCardSections
    # Stage => its sections, out of what it shows. A stage without any is not on the card.
    SECTIONS = {
      "ask" => ->(view, _) { [["Ask", ask(view)]] },
      "choose" => ->(view, stock) { [["Choose", choose(view) + pulled(view, stock)]] },
      "strip" => ->(view, _) { [["Strip", JobCardCylinder.strip(view)]] },
      "measure" => ->(view, _) { [["Measure", JobCardCylinder.measure(view)]] },
      "build" => ->(view, _) { [["Build", JobCardCylinder.build(view)]] },
      "fit" => ->(view, _) { [["Fit", JobCardFit.of(view)]] },
      "bleed" => ->(view, _) { [["Bleed", JobCardBleed.of(view)]] },
      "feel" => ->(view, _) { [["Feel", feel(view)]] },
      "close" => ->(view, _) {
        [["What was done", JobCardClose.done(view)], ["Release gates", JobCardClose.gates(view)],
          ["At the end", JobCardClose.ending(view)]]
      }
    }.freeze

    # @param state [Sandbag::Job::State]; stock [Sandbag::Shelf::Stock]
    # @return [Array<Array(String, Array<Array(String, String)>)>] in the order of the job's stages
    def self.of(state, stock)
      state.stages.flat_map { |id, stage| SECTIONS.key?(id) ? SECTIONS[id].call(stage.view, stock) : [] }
    end

    def self.ask(ask)
      findings =
        ask[:findings].map do |id, values|
          finding = Sandbag::Tables.find("findings", id)
          [finding["label"], finding["values"].values_at(*values).join(", ")]
        end
      flags =
        ask[:flags].map do |flag|
          ["Red flag", [flag[:label], flag[:lead] && "lifted by #{flag[:lead]}: #{flag[:reason]}"].compact.join("; ")]
        end
      route = ask[:route] && Sandbag::Job::Route.find(ask[:route]).label
      [
        (["Complaint", ask[:complaint]] if ask[:complaint]),
        *ask[:notes].map { |note| ["Note", note] },
        *findings,
        *flags,
        (["Route", [route, ask[:reason]].compact.join(": ")] if route)
      ].compact
    end

    def self.choose(choose)
      cylinder = choose[:cylinder]
      [
        (["Cylinder", cylinder_said(cylinder)] if cylinder),
        (["Fluid in", Sandbag::Tables.find("fluids", choose[:fluid])["label"]] if choose[:fluid]),
        ["Fluid to have", Sandbag::Said.ml(choose[:need][:total_ml])],
        ["Bleeding method", Sandbag::Tables.find("bleed_methods", choose[:method])["label"]]
      ].compact
    end

    def self.cylinder_said(cylinder)
      size =
        "#{Sandbag::Said.mm(cylinder["bore"], "g", bare: true)} × #{Sandbag::Said.mm(cylinder["push_offset"], "g")}"
      cylinder["agreed"] ? "#{size}, agreed: #{cylinder["agreed"]}" : size
    end

    # What came off the shelf or was bought; tools and protection are not part of the record.
    def self.pulled(choose, stock)
      water = choose[:water] ? [["Water before", format("%.1f %%", choose[:water])]] : []
      water +
        choose[:pulled]
          .reject { |each| each[:line].start_with?("tool.") || (each[:item].nil? && each[:reason].nil?) }
          .map do |each|
            item = stock.find(each[:item])
            [
              PULLED.fetch(each[:line], "Part"),
              [item&.name, item&.fields&.dig("batch"), each[:reason]].compact.join("; ")
            ]
          end
    end
    PULLED = {"kit" => "Kit", "cylinder" => "Cylinder in", "fluid" => "Fluid bottle", "washers" => "Washers"}.freeze

    # A clutch has no more than its tests.
    def self.by_hand(hand)
      return [["Judged", "in gear, and by its bite"]] unless hand
      read = hand[:items].select { |item| %w[travel pump].include?(item[:id]) }
      [["Judged", "by hand, without a gauge. #{hand[:springiness][:why]}"],
        *read.map { |item| item.values_at(:label, :said) }]
    end

    def self.feel(feel)
      verdict = feel[:lift] || feel[:verdict]
      [
        *(verdict ? verdict_rows(verdict) : []),
        *(feel[:by_hand] ? by_hand(feel[:hand]) : []),
        (["Before", feel[:before][:why]] if feel[:before]),
        (["Accepted", feel[:accepted]] if feel[:accepted]),
        (["Static hold", hold_said(feel[:hold])] if feel[:hold]),
        (["Pump test", feel[:pump][:why]] if feel[:pump]),
        (["Gauge", feel[:gauge][:instrument]] if feel.dig(:gauge, :instrument)),
        *readings(feel[:readings]),
        *feel[:tests].filter_map { |test| [test[:label], test_said(test)] if test[:answer] }
      ].compact
    end

    # Every reading as it was taken, those set aside too.
    def self.readings(taken)
      return [] if taken.empty?
      said = taken.map do |reading|
        "#{Sandbag::Said.n(reading[:force_n], 1)} #{Sandbag::Said.mm(reading[:travel_mm], 2)}" \
          "#{" (set aside)" if reading[:set_aside]}"
      end
      [["Readings", said.join("; ")]]
    end

    def self.test_said(test)
      amount = test[:amount] && format("%g %s", test[:amount], test.dig(:measures, :unit))
      [test[:answers].fetch(test[:answer]), amount].compact.join(", ")
    end

    def self.verdict_rows(verdict)
      said = Sandbag::Said
      air =
        verdict[:air_error_ml] && "#{said.ml(verdict[:air_ml], 3, bare: true)} ± #{said.ml(verdict[:air_error_ml], 3)}"
      stiff =
        verdict[:stiffness_ml_mpa] &&
        format("%.3f mL/MPa, expected %.3f", verdict[:stiffness_ml_mpa], verdict[:expected_stiffness_ml_mpa])
      [["Verdict", verdict[:why]], ["Trapped air", air], ["Stiffness", stiff]].select(&:last)
    end

    def self.hold_said(hold)
      "#{Sandbag::Said.mm(hold[:creep_mm])} in #{Sandbag::Tables::Figures.said("hold_time")}, limit #{Sandbag::Said.mm(
        hold[:limit_mm], bare: true
      )}"
    end
    private_class_method :ask, :choose, :cylinder_said, :pulled, :by_hand, :feel, :readings, :test_said, :verdict_rows,
      :hold_said
  end
end
