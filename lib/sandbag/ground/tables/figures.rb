# frozen_string_literal: true

module Sandbag
  module Tables
    # Figures that sentences of the tables and the code share, so that each stands in one place (figures.yml): a
    # sentence holds {creep} and reads "2 mm"; a cell holds {creep.value} and is 2.
    module Figures
      WORD = /\{(\w+)\}/
      CELL = /\A\{(\w+)\.value\}\z/

      # @param id [String] of figures.yml
      # @return [Numeric] in the unit that stands beside it
      def self.value(id)
        Tables.find("figures", id).fetch("value")
      end

      # @return [String] the figure with its unit
      def self.said(id)
        row = Tables.find("figures", id)
        "#{row["value"]} #{row["unit"]}"
      end

      # @param object as YAML gave it
      # @return the same with every figure in its place; braces that name none stay as they are
      def self.fill(object)
        case object
        when Hash then object.transform_values { |value| fill(value) }
        when Array then object.map { |value| fill(value) }
        when CELL then value($1)
        when WORD then object.gsub(WORD) { |braces| Tables.find("figures", $1) ? said($1) : braces }
        else object
        end
      end
    end
  end
end
