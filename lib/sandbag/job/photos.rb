# frozen_string_literal: true

module Sandbag
  module Job
    # The photos that a job's entries name, with what was drawn on them. A photo that was taken back takes its marks
    # with it.
    class Photos
      # photo: a picture, and what it shows; mark: a circle round a place of it, or an arrow to it.
      KINDS = %w[photo mark].freeze

      # A circle with a radius, or an arrow with a length, of less than this share of the picture's width is a tap and
      # no stroke [default].
      LEAST_STROKE = 0.02

      # @param journal [Journal]
      def initialize(journal)
        @entries = journal.in_force.select { |entry| KINDS.include?(entry.kind) }
        freeze
      end

      # @return [Array<Hash>] oldest first: entry, photo, what, stage, at; again: the entry of the first photo of what
      #   it shows once more, where that is still there; marks: shape, and x, y (the middle, or the tail), to_x, to_y
      #   (the rim, or the tip) as shares of width and height
      def all
        photos.map do |entry|
          {entry: entry.id, photo: entry.data["photo"], what: entry.data["what"], stage: entry.stage, at: entry.at,
           again: first_of(entry.data["again"]), marks: marks(entry)}.compact
        end
      end

      # Refuses a mark on what is no photo of this job, a mark that is a point, and a photo that shows once more what is
      # not there.
      def admit(entry)
        named = (entry.kind == "mark") ? "photo" : "again"
        id = entry.data[named]
        if id && !photo(id)
          raise Refusal.at("data/#{named}", "this job has no photo “#{id}”", photos.map(&:id).join(", "))
        end
        return unless entry.kind == "mark" && Photos.stroke(entry.data) < LEAST_STROKE
        raise Refusal.at("data/to_x", "this #{entry.data["shape"]} is no larger than a point",
          "drawn from one place to another")
      end

      # @return [Float] the longer of both ways, as a share
      def self.stroke(data)
        [(data["to_x"] - data["x"]).abs, (data["to_y"] - data["y"]).abs].max
      end

      private

      def photos
        @entries.select { |entry| entry.kind == "photo" }
      end

      def photo(id)
        photos.find { |entry| entry.id == id }
      end

      def first_of(id)
        earlier = photo(id)
        earlier && (first_of(earlier.data["again"]) || id)
      end

      def marks(photo)
        @entries.select { |entry| entry.kind == "mark" && entry.data["photo"] == photo.id }
          .map { |entry| {entry: entry.id, stage: entry.stage, **entry.data.except("photo").transform_keys(&:to_sym)} }
      end
    end
  end
end
