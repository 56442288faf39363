# frozen_string_literal: true

module Sandbag
  module Lookup
    # What goes with what: fluids, rubber, grease, cleaners.
    module Materials
      RUBBER = {"ok" => "Rubber bears it", "brief" => "Rubber bears it only wiped on and dried at once",
                "never" => "Never on rubber"}.freeze

      def self.all
        [*fluids, *seals, *lubricants, *cleaners]
      end

      def self.fluids
        Tables.rows("fluids").map do |row|
          taken = Choose::FluidChoice.allowed(row["id"]).map { |fluid| fluid["label"] }
          boils = "boils at #{row["dry_c"]} °C dry, #{row["wet_c"]} °C wet at least" if row["dry_c"]
          Entry.of("fluids", row, row["label"], "Family: #{row["family"]}",
            "A cap that says so takes: #{taken.join(", ")}", boils)
        end
      end

      def self.seals
        Tables.rows("seals").map do |row|
          Entry.of("seals", row, row["label"], *by_family(row), "Found in #{row["found_in"]}")
        end
      end

      def self.lubricants
        Tables.rows("lubricants").map do |row|
          Entry.of("lubricants", row, row["label"], *by_family(row), row["where"])
        end
      end

      def self.cleaners
        Tables.rows("cleaners").map do |row|
          Entry.of("cleaners", row, row["label"], RUBBER.fetch(row["rubber"]),
            ("Never on metal" if row["metal"] == "never"), "Where: #{row["where"]}",
            row["dry_s"] && "Let it dry for #{row["dry_s"]} s before anything is built")
        end
      end

      # @return [Array<String>] what each fluid family says of it
      def self.by_family(row)
        Fluid::FAMILIES.map { |family| "#{family}: #{Tables.find("compatibility_words", row[family])["label"]}" }
      end
      private_class_method :fluids, :seals, :lubricants, :cleaners, :by_family
    end
  end
end
