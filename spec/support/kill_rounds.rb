# frozen_string_literal: true

require "tmpdir"

# Two writers on one file, killed in the middle of it, again and again: what was acknowledged must be there, once.
class KillRounds
  NOW = "2026-03-14T09:26:00Z"

  attr_reader :acknowledged, :faults

  # @param sheet [Hash] of the circuit that the job is on; seed [Integer]
  def initialize(sheet, seed:)
    @random = Random.new(seed)
    @folder = Dir.mktmpdir("sandbag-kill")
    @path = "#{@folder}/records.db"
    @acknowledged = []
    @faults = []
    opened do |store|
      store.machines.add(id: "m", name: "m", kind: "road")
      store.circuits.add(id: "c", machine_id: "m", name: "Front", sheet: sheet)
      store.jobs.open(id: "j", circuit_id: "c", at: NOW)
      # what the first entry loads is loaded for every writer
      note(store, "first")
    end
  end

  def rounds(count)
    count.times { |round| one(round) }
    FileUtils.rm_rf(@folder)
  end

  private

  def one(round)
    reader, writer = IO.pipe
    pids = %w[a b].map { |name| fork { write_until_killed("#{round}-#{name}", reader, writer) } }
    writer.close
    first = reader.gets.to_s # however slow the machine is, something was acknowledged
    sleep @random.rand(0.0..0.2)
    pids.each { |pid| Process.kill("KILL", pid) }
    pids.each { |pid| Process.wait(pid) }
    @acknowledged.concat((first + reader.read).lines.select { |line| line.end_with?("\n") }.map(&:chomp))
    reader.close
    look(round)
  end

  def write_until_killed(name, reader, writer)
    reader.close
    store = Store::All.new(Store::Database.open(@path))
    desk = App::JobDesk.new(store, App::Memory.new, Date.new(2026, 3, 14))
    (0..).each do |number|
      id = "#{name}-#{number}"
      note(store, id, desk)
      writer.write("#{id}\n")
    rescue App::JobDesk::Busy, Store::Busy
      next
    end
  end

  def note(store, id, desk = App::JobDesk.new(store, App::Memory.new, Date.new(2026, 3, 14)))
    desk.write("j", {id: id, stage: "ask", kind: "note", data: {"text" => id}, at: NOW, by: "writer", corrects: nil})
  end

  def look(round)
    opened do |store, database|
      entries = store.journals.of_job("j")
      lost = @acknowledged - entries.map { |entry| entry[:id] }
      @faults << "round #{round}: acknowledged twice" if @acknowledged.uniq.size != @acknowledged.size
      @faults << "round #{round}: lost #{lost.first(3).join(", ")}" if lost.any?
      unless entries.map { |entry| entry[:position] } == (1..entries.size).to_a
        @faults << "round #{round}: places are not 1 to #{entries.size}"
      end
      whole = database.fetch("PRAGMA quick_check(1)").get(:quick_check)
      @faults << "round #{round}: the file is damaged: #{whole}" unless whole == "ok"
    end
  end

  def opened
    database = Store::Database.open(@path)
    yield Store::All.new(database), database
  ensure
    database&.disconnect
  end
end
