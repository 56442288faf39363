# frozen_string_literal: true

module Sandbag
  # Brake and clutch fluid: its families, age, water, flow and what goes with it.
  module Fluid
    FAMILIES = %w[glycol silicone mineral].freeze
  end
end
