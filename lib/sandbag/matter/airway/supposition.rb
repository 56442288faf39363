# frozen_string_literal: true

module Sandbag
  module Airway
    # What may be supposed of the ways out: rows of suppositions.yml that can change something here, or were supposed
    # already.
    module Supposition
      # As a request says it => as Way takes it.
      MILLIMETRES = {"raised" => :raised_mm, "tilted" => :tilted_mm}.freeze

      # @param plain [Hash] as a request, or a row, says it
      # @return [Hash] keywords of Way
      def self.keywords(plain)
        plain.to_h { |name, value| [MILLIMETRES.fetch(name, name.to_sym), value] }
      end

      # @param ways [Array<Way>]; given [Hash] keywords they were made with
      # @return [Array<Hash>] id, label and with of each
      def self.offered(ways, given)
        Tables.rows("suppositions").select { |row| supposed?(row, given) || changes?(row, ways) }
          .map { |row| row.slice("id", "label", "with").transform_keys(&:to_sym) }
      end

      def self.supposed?(row, given)
        keywords(row["with"]).all? { |name, value| given[name] == value }
      end

      def self.changes?(row, ways)
        case row["where"]
        when "pocket" then ways.any? { |way| way.profile.pocket_ml.positive? && !way.turned }
        when nil then keywords(row["with"]).none? { |name, value| ways.all? { |way| way.public_send(name) == value } }
        else ways.any? { |way| way.profile.points.any? { |point| point.kind == row["where"] } }
        end
      end
      private_class_method :supposed?, :changes?
    end
  end
end
