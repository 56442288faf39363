# frozen_string_literal: true

require "securerandom"

module App
  # A list of things for the shelf: kind, name, how many, where, and the fields of their kind each in its own column.
  class PartsList
    OWN = {"kind" => %w[type], "name" => %w[part article item], "place" => %w[where shelf bin],
           "supplier" => ["vendor", "bought from"],
           "count" => %w[amount quantity pieces], "price" => ["price each", "cost"]}.freeze
    NEEDED = %w[kind name].freeze

    # @param desk [ShelfDesk]; at [String] when; by [String] who
    def initialize(desk, at, by)
      @desk = desk
      @at = at
      @by = by
    end

    # @return [Hash{String => Array<String>}] every column a list may have
    def self.columns
      fields = Sandbag::Tables.rows("shelf_fields").map { |row| row["field"] }.uniq - OWN.keys
      OWN.merge(fields.to_h { |field| [field, [field.tr("_", " ")]] })
    end

    # @param bytes [String] CSV
    # @return [ListImport]
    def read(bytes)
      ListImport.through(self, ListFile.new(bytes, PartsList.columns, NEEDED).rows)
    end

    # @return [Array] keys of what is on the shelf
    def here
      @desk.stock.items.values.reject(&:discarded).map { |item| same(item.kind, item.name, item.place) }
    end

    # @param values [Hash] of a row
    def key(values)
      same(kind_of(values["kind"])["id"], *values.values_at("name", "place"))
    end

    # @return [Array(String, Proc)] what it is, and what adds it
    def prepare(values)
      kind = kind_of(values["kind"])
      move = Sandbag::Shelf::Move.new(id: SecureRandom.uuid, item: SecureRandom.uuid, kind: "added",
        data: data(kind, values), at: @at, by: @by)
      @desk.stock.admit(move)
      [[kind["label"], *values.values_at("count", "place")].compact.join(", "), -> { @desk.add(move.to_h) }]
    end

    private

    def same(kind, name, place)
      [kind, name.to_s.downcase, place.to_s.downcase]
    end

    def kind_of(typed)
      rows = Sandbag::Tables.rows("shelf_kinds")
      rows.find { |row| [row["id"], row["label"].downcase, row["plural"].downcase].include?(typed.to_s.downcase) } ||
        raise(Sandbag::Refusal.at("kind", "#{Sandbag::Wording.quoted(typed)} is not known", rows.map { |row|
          row["label"]
        }.join(", ")))
    end

    def data(kind, values)
      fields = Sandbag::Tables.rows("shelf_fields").select { |row| row["kind"] == kind["id"] }
        .map { |row| row["field"] }
      plain = values.slice("name", "place", "supplier").merge("kind" => kind["id"], "fields" => values.slice(*fields))
      plain["count"] = values["count"] || "1" unless kind["id"] == "bottle" && values["count"].nil?
      plain["price_minor"] = values["price"] if values["price"]
      plain
    end
  end
end
