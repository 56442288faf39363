# frozen_string_literal: true

module App
  # What a request supposes of a line before it is judged: as Airway::Way takes it.
  module BleedSupposed
    NAMES = %w[celsius opening loop_down feed_up turned hose_raised].freeze
    MILLIMETRES = {"raised" => :raised_mm, "tilted" => :tilted_mm}.freeze

    # @param body [Hash] of a request
    # @return [Hash] keywords
    def self.of(body)
      body.slice(*NAMES).transform_keys(&:to_sym).merge(
        body.slice(*MILLIMETRES.keys).transform_keys { |name| MILLIMETRES.fetch(name) }
      )
    end
  end
end
