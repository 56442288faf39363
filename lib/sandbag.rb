# frozen_string_literal: true

require "zeitwerk"

# The rules and computation of master cylinder work. Knows no web, no database, no clock and no chance.
# Inside: mm, mm², mL, N, MPa gauge, m, kg, s. `Sandbag::Units` is the only place that knows others.
module Sandbag
  LOADER = Zeitwerk::Loader.for_gem
  LOADER.ignore("#{__dir__}/sandbag/knowledge")
  LOADER.setup

  # The nine stages of a job, in the order the work is done.
  STAGES = %w[ask choose strip measure build fit bleed feel close].freeze

  ATMOSPHERE_MPA = 0.101325
  GRAVITY_M_S2 = 9.80665
end
