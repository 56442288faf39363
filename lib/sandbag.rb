# frozen_string_literal: true

require "zeitwerk"

# The rules and computation of master cylinder work. Knows no web, no database, no clock and no chance.
# Inside: mm, mm², mL, N, MPa gauge, m, kg, s. `Sandbag::Units` is the only place that knows others.
module Sandbag
  # The nine stages of a job, in the order the work is done.
  STAGES = %w[ask choose strip measure build fit bleed feel close].freeze

  # Floor => its rooms. A room uses floors above its own and rooms before it on its own floor, nothing else; stages
  # reach one another through the job (spec/core/floors_spec.rb).
  FLOORS = {
    "ground" => [],
    "matter" => %w[hydraulics bench fluid circuit cylinder airway fastening],
    "job" => %w[job],
    "stages" => STAGES,
    "beside" => %w[shelf calendar planner shop lookup],
    "rig" => %w[rig]
  }.freeze

  LOADER = Zeitwerk::Loader.for_gem
  LOADER.ignore("#{__dir__}/sandbag/knowledge")
  # A folder that only groups rooms or files is no name of its own.
  %w[ground matter stages beside rig/instruments rig/practice rig/simulator].each do |folder|
    LOADER.collapse("#{__dir__}/sandbag/#{folder}")
  end
  LOADER.setup

  Tables.register do
    Dir["#{Tables::FOLDER}/*"].sort.map { |path| const_get(File.basename(path).capitalize)::Schemas }
  end

  ATMOSPHERE_MPA = 0.101325
  GRAVITY_M_S2 = 9.80665
end
