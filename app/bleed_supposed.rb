# frozen_string_literal: true

module App
  # What a request supposes of a line before it is judged: as Airway::Way takes it.
  module BleedSupposed
    NAMES = %w[celsius opening loop_down feed_up turned hose_raised raised tilted].freeze

    # @param body [Hash] of a request
    # @return [Hash] keywords
    def self.of(body)
      Sandbag::Airway::Supposition.keywords(body.slice(*NAMES))
    end
  end
end
