# frozen_string_literal: true

module App
  # What falls due on circuits: worked out whenever a record, a machine's use or the shop changes, and kept.
  class DueBook
    NAME = "dues"

    # @param store [Store::All]; shop [Sandbag::Shop]; today [Date]
    def initialize(store, shop, today)
      @store = store
      @shop = shop
      @today = today
      @worked = {}.compare_by_identity
    end

    # @param circuit [Hash] row of the store; sheet [Sandbag::Circuit::Sheet] as it is now
    def write(circuit, sheet, machine = @store.machines.find(circuit[:machine_id]))
      @store.dues.write(circuit[:id], rows(sheet, machine))
    end

    # Every circuit of a machine: how it is used has changed, or it is new.
    # A circuit that cannot be read keeps what was due on it.
    def write_machine(machine)
      @store.circuits.of_machine(machine[:id]).each do |circuit|
        sheet = CircuitView.sheet(circuit)
        write(circuit, sheet, machine) if sheet
      end
    end

    # Every circuit there is, where tables or the shop's interval are others than they were written by.
    def write_all
      basis = {"edition" => Sandbag::Tables.edition, "months" => @shop.fluid_months}
      return if @store.settings.read(NAME) == basis
      @store.transaction do
        @store.machines.all.each { |machine| write_machine(machine) }
        @store.settings.write(NAME, basis)
      end
    end

    # What a signed job wants looked at again; what was due on its circuit by then is done.
    # @param job [Hash] row of the store, with closed_at; state [Sandbag::Job::State] signed
    def sign(job, state)
      @store.dues.finish_rechecks(job[:circuit_id], by: job[:id], on: Sandbag::Day.iso(job[:closed_at]))
      @store.dues.finish_recheck(job[:follows], by: job[:id]) if job[:follows]
      rows = state.close.rechecks.dates.each_with_index.map do |date, place|
        {id: "#{job[:id]}.#{place + 1}", label: date[:label], due_on: date[:on]}
      end
      @store.dues.add_rechecks(job[:id], job[:circuit_id], rows)
    end

    private

    # Sheets that are held at once: more than there are templates, fewer than a shop has circuits.
    MOST_SHEETS = 50

    # Circuits that share one sheet, on machines of one kind and use, are worked out once.
    def rows(sheet, machine)
      @worked.clear if @worked.size >= MOST_SHEETS
      @worked[sheet] ||= {}
      @worked[sheet][machine.values_at(:kind, :used_for)] ||= work_out(sheet, machine)
    end

    def work_out(sheet, machine)
      Sandbag::Calendar::CircuitDues.new(sheet, machine_kind: machine[:kind], use: machine[:used_for],
        shop_months: @shop.fluid_months, today: @today).to_a.map do |due|
        {kind: due.kind, part: due.part || "", due_on: due.on.iso8601, label: due.label, why: due.why}
      end
    end
  end
end
