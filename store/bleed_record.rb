# frozen_string_literal: true

module Store
  # What a signed job's record of the bleed lacks that was written when only strokes were counted.
  module BleedRecord
    FRESH = {
      "slips" => [], "changes" => [], "top_ups" => 0, "in_ml" => 0.0, "out_ml" => 0.0, "begun" => true,
      "cycle" => {"beats" => [], "done" => 0, "open" => false}, "jar" => {"held_ml" => 0.0, "bound" => false},
      "method" => {"id" => "", "label" => "Not recorded", "cycle" => [], "people" => 1, "by_ml" => false,
                   "both" => false, "refill" => "Top up", "supply" => "reservoir"},
      "checks" => {"start" => [], "end" => []}, "tool" => {"tight_wanted" => false, "report_wanted" => false},
      "stubborn" => [], "round" => {"number" => 0, "most" => 3, "lever_failed" => false}, "people" => 1,
      "celsius" => 20.0
    }.freeze
    POINT = {"clean_ml" => 0.0, "clean_ml_wanted" => 20.0, "ml_to_go" => 0.0}.freeze
    FILLING = {"refill_ml" => 0.0, "ml_to_top_up" => 0.0}.freeze

    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @return [Hash]
    def self.filled(plain)
      SignedStages.fill(plain) { |id, view| (id == "bleed") ? filled_bleed(view) : view }
    end

    def self.filled_bleed(view)
      {
        **FRESH,
        "stroke_ml" => view.dig("plan", "stroke_ml"),
        **view,
        "points" => (view["points"] || []).map { |point| {**POINT, **point} },
        "reservoir" => {**FILLING, **view["reservoir"]},
        "ladder" => view["ladder"].map { |rung| {**FILLING, **rung} }
      }
    end
    private_class_method :filled_bleed
  end
end
