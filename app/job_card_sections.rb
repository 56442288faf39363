# frozen_string_literal: true

module App
  # What a job card says, as titled lists of two-column rows.
  module JobCardSections
    # @param state [Sandbag::Job::State]; stock [Sandbag::Shelf::Stock]
    # @return [Array<Array(String, Array<Array(String, String)>)>]
    def self.of(state, stock)
      views = state.stages.transform_values(&:view)
      ask, choose, strip, measure, build, fit, bleed, feel, close = views.values_at(*Sandbag::STAGES)
      [["Ask", ask(ask)], ["Choose", choose(choose) + pulled(choose, stock)], ["Strip", JobCardCylinder.strip(strip)],
        ["Measure", JobCardCylinder.measure(measure)], ["Build", JobCardCylinder.build(build)],
        ["Fit", JobCardFit.of(fit)],
        ["Bleed", JobCardBleed.of(bleed)],
        ["Feel", feel(feel)], ["Release gates", JobCardClose.gates(close)],
        ["At the end", JobCardClose.ending(close)]]
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
      return [] unless choose
      cylinder = choose[:cylinder]
      [
        (["Cylinder", cylinder_said(cylinder)] if cylinder),
        (["Fluid in", Sandbag::Tables.find("fluids", choose[:fluid])["label"]] if choose[:fluid]),
        ["Fluid to have", Sandbag::Said.ml(choose[:need][:total_ml])],
        ["Way of bleeding", Sandbag::Tables.find("bleed_methods", choose[:method])["label"]]
      ].compact
    end

    def self.cylinder_said(cylinder)
      size =
        "#{Sandbag::Said.mm(cylinder["bore"], "g", bare: true)} × #{Sandbag::Said.mm(cylinder["push_offset"], "g")}"
      cylinder["agreed"] ? "#{size}, agreed: #{cylinder["agreed"]}" : size
    end

    # What came off the shelf or was bought; tools and protection are not part of the record.
    def self.pulled(choose, stock)
      return [] unless choose
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

    def self.feel(feel)
      return [] unless feel
      verdict = feel[:lift] || feel[:verdict]
      [
        *(verdict ? verdict_rows(verdict) : []),
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
    private_class_method :ask, :choose, :cylinder_said, :pulled, :feel, :readings, :test_said, :verdict_rows, :hold_said
  end
end
