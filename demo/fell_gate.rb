# frozen_string_literal: true

require "time"
require "yaml"
require_relative "worked_bench"

module Demo
  # Loads Fell Gate Garage into an empty store, through the same desks as the page.
  class FellGate
    BY = "R. Tarn"
    PEOPLE = [
      {"name" => BY, "role" => "lead"}, {"name" => "M. Beck", "role" => "mechanic"},
      {"name" => "J. Syke", "role" => "learner"}
    ].freeze
    # Firm pulls as shares of the reference force, read after the light ones.
    SHARES = [0.42, 0.62, 0.82, 1.0].freeze
    # What a ruler at the bench reads off by, mm, in turn.
    RULER_MM = [0.05, -0.04, 0.03, -0.05, 0.04, -0.03, 0.05, -0.04].freeze

    # @param now [Time] the jobs' times count back from here
    def initialize(store, now)
      @store = store
      @memory = App::Memory.new
      @desk = App::JobDesk.new(store, @memory, now.to_date)
      @now = now
    end

    def load
      App::ShopSettings.write(@store, Sandbag::Shop.new("name" => "Fell Gate Garage", "people" => PEOPLE))
      YAML.safe_load_file("#{__dir__}/machines.yml").each { |machine| add_machine(machine) }
      YAML.safe_load_file("#{__dir__}/shelf.yml").each { |thing| add_to_shelf(thing) }
      YAML.safe_load_file("#{__dir__}/jobs.yml").each { |job| add_job(job) }
    end

    private

    def add_machine(machine)
      @store.machines.add(id: machine["id"], name: machine["name"], kind: machine["kind"], note: machine["note"],
        used_for: machine.fetch("use", "daily"), training: 1)
      machine["circuits"].each do |circuit|
        parts =
          circuit["parts"].map do |part|
            part.merge(
              "values" => part["values"].transform_values { |value, source| {"value" => value, "source" => source} }
            )
          end
        sheet = Sandbag::Circuit::Sheet.new("kind" => circuit["kind"], "parts" => parts)
        @store.circuits.add(id: circuit["id"], machine_id: machine["id"], name: circuit["name"], sheet: sheet.to_h)
      end
    end

    def add_to_shelf(thing)
      fields = thing["use_by_days"] ? thing["fields"].merge("use_by" => day(thing["use_by_days"])) : thing["fields"]
      move(
        thing,
        "added",
        thing.slice("kind", "name", "place", "supplier", "count")
          .merge("price_minor" => thing["price"], "fields" => fields)
      )
      return unless thing["opened_days"]
      move(thing, "opened", {"on" => day(thing["opened_days"])})
      move(thing, "measured", {"ml" => thing["left"]})
    end

    def move(thing, kind, data)
      App::ShelfDesk.new(@store, @memory).add(
        {id: "#{thing["id"]}.#{kind}", item: thing["id"], kind: kind, data: data, at: @now.utc.iso8601(3), by: BY}
      )
    end

    def day(days)
      (@now.to_date + days).iso8601
    end

    def add_job(job)
      opened = @now - job["hours_ago"] * 3600
      @desk.open(job["id"], job["circuit"], opened.utc.iso8601(3))
      index = -1
      waited = 0
      add =
        lambda do |stage, kind, data, minutes: 0|
          index += 1
          waited += minutes * 60
          @desk.write(
            job["id"],
            {
              id: "#{job["id"]}-#{index}",
              stage: stage,
              kind: kind,
              data: data,
              at: (opened + 30 * index + waited).utc.iso8601(3),
              by: BY,
              corrects: nil
            }
          )
        end
      job["entries"].each do |entry|
        next add.call(*entry) if entry.is_a?(Array)
        if WorkedBench.knows?(entry)
          next WorkedBench.new(-> { @desk.state_of(@store.jobs.find(job["id"])) }, add).work(entry)
        end
        spelled_out(entry, job["circuit"]).each { |each| add.call(*each) }
      end
    end

    def spelled_out(entry, circuit_id)
      if entry["parts_in_days"]
        return [
          [
            "ask",
            "wait",
            {"wait" => "parts_on_order", "until" => (@now + entry["parts_in_days"] * 86_400).utc.iso8601}
          ]
        ]
      end
      sheet = Sandbag::Circuit::Sheet.new(@store.circuits.find(circuit_id)[:sheet])
      circuit = Sandbag::Circuit::Assembly.build(sheet)
      forces(sheet, circuit).zip(RULER_MM).map do |force, slip|
        travel = circuit.travel_mm(circuit.pressure_mpa(force), air_ml: entry["reading_air"]) + slip
        ["feel", "reading", {"force" => force, "travel" => travel.round(2)}]
      end
    end

    def forces(sheet, circuit)
      reference = Sandbag::Circuit::Reference.force_n(sheet, circuit)
      light = Sandbag::Feel::LowForces.of(circuit).first(4)
      light + SHARES.map { |share| (share * reference).round }
    end
  end
end
