# frozen_string_literal: true

module App
  # Jobs in a line each, for lists: read as they are kept, worked out when a list asks for them and something that they
  # rest on has changed, such as the journal. A job that cannot be read is shown as damaged, and the rest as they are.
  class Headlines
    SIGNED = "signed"

    # @param store [Store::All]; memory [Memory]
    def initialize(store, memory)
      @store = store
      @memory = memory
    end

    # @param rows [Array<Hash>] of Store::Jobs#page
    # @return [Array<Hash>] one line for each job
    def of(rows)
      rows.map { |row| {**JobHead.of_row(row), **headline(row)}.then { |line| planned(line) } }
    end

    # Keeps a headline with what it rests on.
    def write(job_id, state, revision)
      @store.jobs.write_headline(job_id, state.headline, basis(state.fluid_months, state.journal.position, revision))
    end

    private

    def shop
      @shop ||= @memory.shop(@store)
    end

    def basis(fluid_months, position, revision)
      [Sandbag::Tables.edition, shop.lubricant, fluid_months, position, revision].join("/")
    end

    def basis_now(row)
      months = Sandbag::Fluid::ChangeDue.most_months(shop.fluid_months, row[:machine_use])
      basis(months, row[:position].to_i, row[:circuit_revision])
    end

    def headline(row)
      return row[:headline] if whole?(row[:headline]) && (row[:closed_at] || row[:headline_of] == basis_now(row))
      circuit = @store.circuits.find(row[:circuit_id])
      state = @memory.state(@store, row[:id], circuit, shop)
      state.headline.tap { |found| keep(row, found) }
    rescue => fault
      warn "job #{row[:id]} cannot be read: #{fault.class}: #{fault.message.inspect}"
      damaged(row)
    end

    ALWAYS = %i[current waits_for signed stages].freeze

    def whole?(headline)
      headline && (ALWAYS - headline.keys).empty?
    end

    # What cannot be kept now is worked out again next time.
    def keep(row, found)
      @store.transaction do
        @store.jobs.write_headline(row[:id], found, basis_now(row))
      end
    rescue Store::Busy, Store::Full
      nil
    end

    def damaged(row)
      {
        current: "ask",
        waits_for: "repair: this record is damaged",
        signed: !row[:closed_at].nil?,
        damaged: true,
        stages: []
      }
    end

    def planned(line)
      route = line[:route] && Sandbag::Job::Route.find(line[:route])
      return line unless route
      {
        **line,
        route_label: route.label,
        planned_minutes: Sandbag::Ask::Minutes.new(route, line[:machine][:kind], pace: line.fetch(:pace, [])).total
      }
    end
  end
end
