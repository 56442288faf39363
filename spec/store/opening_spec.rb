# frozen_string_literal: true

require "open3"
require "tmpdir"

# What stands in the way of a start is said in one sentence, with a way out, and no trace.
RSpec.describe "Starting" do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  let(:path) { "#{@folder}/records.db" }

  let(:opens) { <<~RUBY }
    require "./app/boot"
    begin
      Store::Opening.database(App::Settings.database)
      puts "open"
    rescue Store::Opening::Fault => fault
      abort fault.message
    end
  RUBY

  def start(path = self.path, port: TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] })
    said, status =
      Open3.capture2e(
        {"SANDBAG_DATABASE" => path, "SANDBAG_PORT" => port.to_s},
        RbConfig.ruby,
        "-e",
        opens,
        chdir: ROOT
      )
    [status.success?, said.strip]
  end

  def filled
    store = Store::All.new(Store::Database.open(path))
    200.times { |index| store.machines.add(id: "m#{index}", name: "Machine #{index}", kind: "road", note: "x" * 200) }
    store.instance_variable_get(:@database).run("PRAGMA wal_checkpoint(TRUNCATE)")
    store.instance_variable_get(:@database).disconnect
  end

  def sentence(told)
    expect(told.first).to be false
    expect(told.last.lines.size).to eq 1
    told.last
  end

  it "goes on an empty place and on records that are whole" do
    expect(start).to eq [true, "open"]
    expect(start).to eq [true, "open"]
  end

  it "writes nothing to a file whose pages were zeroed" do
    filled
    pages = File.binread(path)
    pages[8192, 4096] = "\0" * 4096
    File.binwrite(path, pages)
    expect(sentence(start)).to include("are damaged", "bin/restore")
    expect(File.binread(path)).to eq pages
  end

  it "refuses a file that holds no records at all" do
    File.write(path, "a letter to the bank " * 200)
    expect(sentence(start)).to include("are damaged")
    expect(File.read(path)).to start_with "a letter"
  end

  it "refuses records of a newer Sandbag" do
    filled
    Sequel.sqlite(path) { |records| records[:schema_info].update(version: 999) }
    expect(sentence(start)).to include("A newer Sandbag wrote")
  end

  it "refuses records that another server has, and lets one of two first starts go on" do
    held =
      IO.popen(
        {"SANDBAG_DATABASE" => path},
        [
          RbConfig.ruby,
          "-e",
          'require "./app/boot"; Store::Opening.database(App::Settings.database); puts "open"; $stdout.flush; sleep',
          {chdir: ROOT}
        ]
      )
    expect(held.gets.strip).to eq "open"
    expect(sentence(start)).to include("Another Sandbag serves")
  ensure
    Process.kill("KILL", held.pid)
    held.close
  end

  it "says what is wrong with a place it cannot write to" do
    File.write("#{@folder}/file", "")
    expect(sentence(start("#{@folder}/file/records.db"))).to include("cannot be opened for writing")
    expect(sentence(start("#{@folder}/nowhere/records.db"))).to include("cannot be opened for writing")
  end

  it "says which port is in use before anything else" do
    taken = TCPServer.open("127.0.0.1", 0)
    said, status = Open3.capture2e({"SANDBAG_PORT" => taken.addr[1].to_s}, "bash", "-c",
      "source bin/support/setup.sh; port_is_free", chdir: ROOT)
    expect([status.success?, said]).to match [false, /Port #{taken.addr[1]} is in use/]
  ensure
    taken.close
  end
end

RSpec.describe "A restore" do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  let(:path) { "#{@folder}/records.db" }

  def restore(from)
    Open3
      .capture2e({"SANDBAG_DATABASE" => path}, RbConfig.ruby, "#{ROOT}/store/restore.rb", from, chdir: ROOT)
      .then { |said, status| [status.success?, said] }
  end

  def records(name, at: path)
    database = Store::Database.open(at)
    Store::All.new(database).machines.add(id: name, name: name, kind: "road")
    database.disconnect
  end

  def names
    database = Store::Database.open(path)
    Store::All.new(database).machines.page(limit: 9).map { |machine| machine[:name] }
  ensure
    database.disconnect
  end

  it "puts a copy in place and moves aside what was there, its WAL with it" do
    records("new")
    records("old", at: "#{@folder}/copy.db")
    File.write("#{path}-wal", "left over")
    expect(restore("#{@folder}/copy.db")).to match [true, /in place/]
    expect(names).to eq ["old"]
    expect(Dir["#{path}.2*"].size).to eq 2
    expect(File.stat(path).mode & 0o077).to eq 0
  end

  it "takes no copy that is damaged or not there, and leaves the records as they are" do
    records("new")
    File.write("#{@folder}/copy.db", "nothing")
    expect(restore("#{@folder}/copy.db")).to match [false, /damaged/]
    expect(restore("#{@folder}/none.db")).to match [false, /no copy/]
    expect(restore(path)).to match [false, /the records themselves/]
    expect(names).to eq ["new"]
  end

  it "does nothing while Sandbag runs" do
    records("new")
    records("old", at: "#{@folder}/copy.db")
    File.open("#{path}.lock", File::RDWR | File::CREAT) do |lock|
      lock.flock(File::LOCK_EX)
      expect(restore("#{@folder}/copy.db")).to match [false, /running/]
    end
    expect(names).to eq ["new"]
  end
end
