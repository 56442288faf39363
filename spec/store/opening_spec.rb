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

  it "refuses another program's file, adds nothing to it, and refuses a folder" do
    [nil, 42].each do |id|
      Sequel.sqlite(path) do |records|
        records.run("CREATE TABLE IF NOT EXISTS letters (text TEXT)")
        records.run("PRAGMA application_id = #{id}") if id
      end
      before = File.binread(path)
      expect(sentence(start)).to include("another program's data")
      expect(File.binread(path)).to eq before
    end
    Dir.mkdir("#{@folder}/shelf")
    expect(sentence(start("#{@folder}/shelf"))).to include("is a folder")
  end

  it "marks the records as its own, those of an earlier Sandbag too" do
    filled
    Sequel.sqlite(path) { |records| records.run("PRAGMA application_id = 0") }
    expect(start).to eq [true, "open"]
    marked = Sequel.sqlite(path) { |records| records.fetch("PRAGMA application_id").get(:application_id) }
    expect(marked).to eq Store::RecordsFile::APPLICATION_ID
  end

  it "keeps the records, and what SQLite keeps with them, from others from the first moment" do
    umask = File.umask(0)
    database = Store::Database.open(path)
    database[:settings].count
    expect(["", "-wal", "-shm"].map { |part| File.stat("#{path}#{part}").mode & 0o077 }).to eq [0, 0, 0]
  ensure
    database&.disconnect
    File.umask(umask)
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
    File.symlink(path, "#{@folder}/other.db")
    File.link(path, "#{@folder}/linked.db")
    %w[other linked].each do |name|
      expect(sentence(start("#{@folder}/#{name}.db"))).to include("Another Sandbag serves")
    end
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

  it "loses nothing when it is done again within the second" do
    records("first")
    %w[second third fourth].each do |name|
      records(name, at: "#{@folder}/#{name}.db")
      expect(restore("#{@folder}/#{name}.db").first).to be true
    end
    expect(names).to eq ["fourth"]
    kept = Dir["#{path}.2*"].reject { |file| file.end_with?("-wal", "-shm") }
    found = kept.map { |file| Sequel.sqlite(file, readonly: true) { |records| records[:machines].get(:name) } }
    expect(found).to contain_exactly("first", "second", "third")
  end

  it "takes no empty file, no folder, no other program's file and no newer records" do
    records("new")
    File.write("#{@folder}/empty.db", "")
    Dir.mkdir("#{@folder}/shelf.db")
    Sequel.sqlite("#{@folder}/foreign.db") { |other| other.run("CREATE TABLE letters (text TEXT)") }
    records("newer", at: "#{@folder}/newer.db")
    Sequel.sqlite("#{@folder}/newer.db") { |other| other[:schema_info].update(version: 999) }
    {"empty" => /is empty/, "shelf" => /is a folder/, "foreign" => /another program's/, "newer" => /newer Sandbag/}
      .each { |name, says| expect(restore("#{@folder}/#{name}.db")).to match [false, says] }
    expect(names).to eq ["new"]
    expect(Dir["#{path}.*"]).to eq []
  end

  it "moves nothing where there is no room for the copy" do
    records("new")
    records("old", at: "#{@folder}/copy.db")
    limited = "ulimit -f 64; exec #{RbConfig.ruby} #{ROOT}/store/restore.rb #{@folder}/copy.db"
    said, status = Open3.capture2e({"SANDBAG_DATABASE" => path}, "bash", "-c", "trap '' XFSZ; #{limited}", chdir: ROOT)
    expect([status.success?, said]).to match [false, /could not be written: .* Nothing was changed/]
    expect(names).to eq ["new"]
    expect(Dir["#{path}.*"]).to eq []
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
    File.open(path, File::RDWR) do |lock|
      lock.flock(File::LOCK_EX)
      expect(restore("#{@folder}/copy.db")).to match [false, /running/]
    end
    expect(names).to eq ["new"]
  end
end
