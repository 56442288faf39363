# frozen_string_literal: true

module App
  # What a job card says, as titled lists of two-column rows.
  module JobCardSections
    # @return [Array<Array(String, Array<Array(String, String)>)>]
    def self.of(state, stock)
      job = state.to_h
      [["Ask", ask(job[:ask])], ["Choose", choose(job[:choose]) + pulled(job[:choose], stock)], ["Strip", JobCardCylinder.strip(job[:strip])],
        ["Measure", JobCardCylinder.measure(job[:measure])], ["Build", JobCardCylinder.build(job[:build])], ["Bleed", bleed(job[:bleed])],
        ["Feel", feel(job[:feel])], ["Release gates", gates(job[:close])]]
    end

    def self.ask(ask)
      findings = ask[:findings].map do |id, values|
        finding = Sandbag::Knowledge.find("findings", id)
        [finding["label"], finding["values"].values_at(*values).join(", ")]
      end
      flags = ask[:flags].map { |flag| ["Red flag", [flag[:label], flag[:lead] && "lifted by #{flag[:lead]}: #{flag[:reason]}"].compact.join("; ")] }
      route = ask[:route] && Sandbag::Knowledge.find("routes", ask[:route])["label"]
      [(["Complaint", ask[:complaint]] if ask[:complaint]), *ask[:notes].map { |note| ["Note", note] }, *findings, *flags, (["Route", [route, ask[:reason]].compact.join(": ")] if route)].compact
    end

    def self.choose(choose)
      return [] unless choose
      cylinder = choose[:cylinder]
      [
        (["Cylinder", "#{cylinder["bore"]} × #{cylinder["push_offset"]} mm#{", agreed: #{cylinder["agreed"]}" if cylinder["agreed"]}"] if cylinder),
        (["Fluid in", Sandbag::Knowledge.find("fluids", choose[:fluid])["label"]] if choose[:fluid]),
        ["Fluid to have", format("%.0f mL", choose[:need][:total_ml])]
      ].compact
    end

    # What came off the shelf or was bought; tools and protection are not part of the record.
    def self.pulled(choose, stock)
      return [] unless choose
      water = choose[:water] ? [["Water before", format("%.1f %%", choose[:water])]] : []
      water + choose[:pulled].reject { |each| each[:line].start_with?("tool.") || (each[:item].nil? && each[:reason].nil?) }.map do |each|
        item = stock.find(each[:item])
        [PULLED.fetch(each[:line], "Part"), [item&.name, item&.fields&.dig("batch"), each[:reason]].compact.join("; ")]
      end
    end
    PULLED = {"kit" => "Kit", "cylinder" => "Cylinder in", "fluid" => "Fluid bottle", "washers" => "Washers"}.freeze

    def self.bleed(bleed)
      return [] unless bleed && bleed[:total_strokes].positive?
      points = bleed[:points].map do |point|
        [point[:label], format("%d strokes, %.0f mL, last %d without a bubble%s", point[:strokes], point[:passed_ml], point[:clean_strokes], point[:done] ? "" : ", not finished")]
      end
      points + bleed[:restarts].map { |restart| ["Started over", restart[:why]] }
    end

    def self.feel(feel)
      return [] unless feel
      verdict = feel[:lift] || feel[:verdict]
      [
        (["Verdict", verdict[:why]] if verdict),
        (["Trapped air", format("%.3f ± %.3f mL", verdict[:air_ml], verdict[:air_error_ml])] if verdict && verdict[:air_error_ml]),
        (["Stiffness", format("%.3f mL/MPa, expected %.3f", verdict[:stiffness_ml_mpa], verdict[:expected_stiffness_ml_mpa])] if verdict && verdict[:stiffness_ml_mpa]),
        (["Before", feel[:before][:why]] if feel[:before]),
        (["Accepted", feel[:accepted]] if feel[:accepted]),
        (["Static hold", format("%.1f mm in 60 s, limit %.1f", feel[:hold][:creep_mm], feel[:hold][:limit_mm])] if feel[:hold])
      ].compact
    end

    def self.gates(close)
      return [] unless close
      close[:gates].map { |gate| [gate[:label], gate[:met] ? "met" : "NOT MET#{": #{gate[:why]}" if gate[:why]}"] }
    end
    private_class_method :ask, :choose, :pulled, :bleed, :feel, :gates
  end
end
