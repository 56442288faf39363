# frozen_string_literal: true

module App
  # A simulated circuit as the page draws it: its ways out by height over length, and what moves.
  class PracticeView
    # @param rig [Sandbag::Rig::Simulation]
    def initialize(rig)
      @rig = rig
    end

    # @return [Hash] ends with their points, travel_mm, reservoir_full_ml, unit_mm, frame
    def to_h
      {
        ends: ends, travel_mm: @rig.travel_mm, reservoir_full_ml: @rig.reservoir_full_ml,
        unit_mm: (@rig.unit.at_mm if @rig.unit.ml.positive?), frame: @rig.frame
      }.compact
    end

    # @return [Array<Hash>] the ways out as they lie now
    def ends
      @rig.plumbing.paths.map { |path| {id: path.id, label: path.label, points: points(path)} }
    end

    private

    def points(path)
      first = path.legs.first
      [{at_mm: first.from_mm, height_mm: first.from_height_mm}] +
        path.legs.map { |leg| {at_mm: leg.to_mm, height_mm: leg.to_height_mm} }
    end
  end
end
