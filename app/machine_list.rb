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

    # @param store [Store::All]; due_book [DueBook]; shop [Sandbag::Shop]
    def initialize(store, due_book, shop)
      @store = store
      @due_book = due_book
      @shop = shop
    end

    # @param bytes [String] CSV
    # @return [ListImport]
    def read(bytes)
      known = @store.machines.all.to_h { |machine| [same(machine[:name], machine[:mark]), true] }
      ListImport.new(ListFile.new(bytes, COLUMNS, NEEDED).rows.map { |row| step(row, known) })
    end

    private

    def step(row, known)
      name, mark = row.values.values_at("name", "mark")
      key = same(name, mark)
      return say(row, "pass_over", "is here already") if known[key]
      kind = pick("machine_kinds", row.values["kind"])
      use = row.values["use"] ? pick("machine_uses",
        row.values["use"]) : Sandbag::Knowledge.find("machine_uses", "daily")
      templates = templates(kind, row.values["circuits"])
      known[key] = true
      say(row, "add", templates.map { |template| template["label"] }.join(", "), -> { add(row, kind, use, templates) })
    rescue Sandbag::Refusal => refusal
      problem = refusal.problems.first
      say(row, "refuse", [problem.message, problem.accepted].compact.join("; accepted: "))
    end

    def say(row, does, says, take = nil)
      ListImport::Step.new(line: row.line, name: row.values["name"].to_s, does: does, says: says, take: take)
    end

    def same(name, mark)
      [name.to_s.downcase, mark.to_s.downcase]
    end

    # @return [Hash] row of a table by its id or its label
    def pick(table, typed)
      unless typed
        raise Sandbag::Refusal.at("", "no #{table.split("_").last.delete_suffix("s")} is said",
          labels(table))
      end
      found = Sandbag::Knowledge.table(table).find { |row| [row["id"], row["label"].downcase].include?(typed.downcase) }
      found || raise(Sandbag::Refusal.at("", "“#{typed[0, 40]}” is not known", labels(table)))
    end

    def labels(table)
      Sandbag::Knowledge.table(table).map { |row| row["label"] }.join(", ")
    end

    def templates(kind, typed)
      return [Sandbag::Knowledge.find("circuit_templates", kind["templates"].first)] unless typed
      typed.split(/[|;+]/).map(&:strip).map { |each| pick("circuit_templates", each) }
    end

    def add(row, kind, use, templates)
      id = SecureRandom.uuid
      texts = %w[mark place meter note].to_h { |name| [name.to_sym, row.values[name].to_s[0, 120]] }
      @store.machines.add(id: id, name: row.values["name"][0, 120], kind: kind["id"], used_for: use["id"], **texts)
      templates.each do |template|
        sheet = @shop.limit(Sandbag::Circuit::Template.sheet(template["id"]))
        @store.circuits.add(id: SecureRandom.uuid, machine_id: id, name: template["label"], sheet: sheet.to_h)
      end
      @due_book.write_machine(@store.machines.find(id))
    end
  end
end
