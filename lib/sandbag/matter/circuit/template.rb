# frozen_string_literal: true

module Sandbag
  module Circuit
    # A new circuit's sheet from knowledge/circuit_templates.yml: parts with nothing entered yet.
    module Template
      # @return [Sheet]
      # Refuses an unknown template.
      def self.sheet(id)
        row = Tables.fetch("circuit_templates", id, "template", "there is no template “#{id}”")
        Sheet.new(
          "kind" => row["kind"],
          "parts" => singles(row) + row["parts"].map { |part| part.merge("values" => {}) }
        )
      end

      # @return [Sheet] the same with the fluid that is usual in it. [default]
      def self.filled(id)
        plain = sheet(id)
        plain.set("fluid", "stamped", plain.kind.fluid, "part_marking")
      end

      def self.singles(row)
        given = row["parts"].map { |part| part["part"] }
        (Kind.find(row["kind"]).singles - given).map { |part| {"id" => part, "part" => part, "values" => {}} }
      end
      private_class_method :singles
    end
  end
end
