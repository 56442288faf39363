# frozen_string_literal: true

module Store
  # What a signed job's record lacks that was written before its stages showed it.
  module SignedRecord
    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @return [Hash]
    def self.filled(plain)
      SignedStages.fill(plain) { |id, view| filled_stage(id, view) }
    end

    def self.filled_stage(id, view)
      case id
      when "ask"
        {
          "offers" => [],
          "routes" => [view["route"]].compact,
          **view,
          "intake" => view["intake"].map { |row| {"stops" => false, **row} },
          "flags" => view["flags"].map { |flag| {"holds_work" => true, "cured" => false, **flag} }
        }
      when "bleed"
        {
          **view,
          "reservoir" => {
            "spent" => false,
            **view["reservoir"]
          },
          "ladder" => view["ladder"].map { |rung| {"spent" => false, **rung} }
        }
      when "choose"
        {"adds" => false, **view}
      when "strip", "build"
        view["section"] ? {**view, "section" => {"reservoir" => true, **view["section"]}} : view
      when "close"
        {"cures" => [], **view}
      else
        view
      end
    end
    private_class_method :filled_stage
  end
end
