# frozen_string_literal: true

module Sandbag
  module Lookup
    # The words of the trade, as the page explains them where they stand.
    module Glossary
      # The drawing of a part shows the first cylinder that has it.
      # @return [Array<Hash>] id, label, says; forms [Array<String>] it is written in, none where it is an ordinary word
      #   as well, which is not marked in a sentence; section of the cylinder that shows it (see Cylinder::Section#to_h),
      #   where it is a part of one
      def self.all
        @all ||= Tables.rows("glossary").map { |row|
          {id: row["id"], label: row["label"], says: row["says"], forms: forms(row),
           section: row["part"] && section(row["part"])}.compact.freeze
        }.freeze
      end

      def self.forms(row)
        row["ordinary"] ? [] : [row["label"], *row["forms"]].map(&:downcase)
      end

      def self.section(part)
        construction = Cylinder::Construction.all.find { |each| each.section.include?(part) }
        {reservoir: construction.section.include?("primary_cup"),
         parts: construction.section.map { |id|
           {id: id, label: construction.part(id)["label"], is_in: true, at_hand: id == part}
         }}
      end
      private_class_method :forms, :section
    end
  end
end
