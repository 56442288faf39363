# frozen_string_literal: true

require "securerandom"

module App
  # A list of machines: name and kind, and what is the owner's own. Circuits are templates by their name, or all that
  # its kind starts with.
  class MachineList
    COLUMNS = {
      "name" => %w[machine model], "kind" => %w[type], "mark" => ["owner's mark", "number", "plate"],
      "place" => %w[stands where], "use" => %w[used], "meter" => ["odometer", "hours", "km"], "note" => %w[notes],
      "circuits" => %w[circuit templates]
    }.freeze
    NEEDED = %w[name kind].freeze
    # Texts, and how many characters they hold.
    TEXTS = {"name" => 120, "mark" => 120, "place" => 120, "meter" => 120, "note" => 2000}.freeze
    # How a machine is used of which nothing is said.
    DAILY = "daily"

    # @param store [Store::All]; due_book [DueBook]; shop [Sandbag::Shop]
    def initialize(store, due_book, shop)
      @store = store
      @due_book = due_book
      @shop = shop
      @sheets = {}
    end

    # @param bytes [String] CSV
    # @return [ListImport]
    def read(bytes)
      ListImport.through(self, ListFile.new(bytes, COLUMNS, NEEDED).rows)
    end

    # @return [Array] keys of the machines there are
    def here
      @store.machines.names.map { |name, mark| same(name, mark) }
    end

    # @param values [Hash] of a row
    def key(values)
      same(*values.values_at("name", "mark"))
    end

    # @return [Array(String, Proc)] the circuits it gets, and what adds it
    # Refuses a machine without a name, and texts longer than a machine's may be.
    def prepare(values)
      raise Sandbag::Refusal.at("name", "no name is said", "1 to #{TEXTS["name"]} characters") unless values["name"]
      long, most = TEXTS.find { |column, characters| values[column].to_s.length > characters }
      raise Sandbag::Refusal.at(long, "it is too long", "up to #{most} characters") if long
      odd = TEXTS.keys.find { |column| column != "note" && values[column].to_s.match?(/[[:cntrl:]]/) }
      raise Sandbag::Refusal.at(odd, "it holds a sign that cannot be seen", "one line of text") if odd
      kind = pick("machine_kinds", values["kind"])
      use = pick("machine_uses", values.fetch("use", DAILY))
      templates = templates(kind, values["circuits"])
      templates.each { |template| sheet(template) }
      [templates.map { |template| template["label"] }.join(", "), -> { add(values, kind, use, templates) }]
    end

    private

    def same(name, mark)
      [name.to_s.downcase, mark.to_s.downcase]
    end

    # @return [Hash] row of a table by its id or its label
    def pick(table, typed)
      unless typed
        raise Sandbag::Refusal.at("", "no #{table.split("_").last.delete_suffix("s")} is said",
          labels(table))
      end
      found = Sandbag::Tables.rows(table).find { |row| [row["id"], row["label"].downcase].include?(typed.downcase) }
      found || raise(Sandbag::Refusal.at("", "#{Sandbag::Wording.quoted(typed)} is not known", labels(table)))
    end

    def labels(table)
      Sandbag::Tables.rows(table).map { |row| row["label"] }.join(", ")
    end

    def templates(kind, typed)
      return [Sandbag::Tables.find("circuit_templates", kind["templates"].first)] unless typed
      typed.split(/[|;+]/).map(&:strip).map { |each| pick("circuit_templates", each) }
    end

    def add(values, kind, use, templates)
      id = SecureRandom.uuid
      texts = TEXTS.to_h { |column, _| [column.to_sym, values[column].to_s] }
      @store.machines.add(id: id, kind: kind["id"], used_for: use["id"], **texts)
      templates.each do |template|
        circuit_record.add_new(id: SecureRandom.uuid, machine_id: id, name: template["label"], sheet: sheet(template))
      end
    end

    # Machines of one template start with one sheet.
    def sheet(template)
      @sheets[template["id"]] ||= @shop.limit(Sandbag::Circuit::Template.sheet(template["id"]))
    end

    def circuit_record
      @circuit_record ||= CircuitRecord.new(@store, @due_book)
    end
  end
end
