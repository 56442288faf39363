# frozen_string_literal: true

require "tmpdir"

RSpec.describe Store::Database do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  let!(:database) { described_class.open("#{@folder}/a.db") }

  after { database.disconnect }

  it "commits to the disc before it says so, with foreign keys on" do
    pragma = ->(name) { database.fetch("PRAGMA #{name}").single_value }
    expect(pragma["journal_mode"]).to eq "wal"
    expect(pragma["synchronous"]).to eq 2
    expect(pragma["foreign_keys"]).to eq 1
  end

  it "keeps the file for its owner alone" do
    Dir.mktmpdir do |folder|
      Store::Database.open("#{folder}/records.db").disconnect
      expect(File.stat("#{folder}/records.db").mode & 0o077).to eq 0
    end
  end

  it "has only strict tables: text in a number column is refused" do
    names =
      database.fetch(
        "SELECT name FROM pragma_table_list WHERE strict = 0 AND schema = 'main' AND name NOT LIKE 'sqlite%'"
      ).select_map(:name)
    expect(names).to eq ["schema_info"]
    row = {id: "e", job_id: "j", position: "first", stage: "ask", kind: "k", data: "{}", at: "t", by: "b"}
    expect { database[:entries].insert(row) }.to raise_error(Sequel::ConstraintViolation)
  end

  it "goes down and up again" do
    Sequel::Migrator.run(database, Store::Database::MIGRATIONS, target: 0)
    expect(database.tables).to eq [:schema_info]
    Sequel::Migrator.run(database, Store::Database::MIGRATIONS)
    expect(database.tables).to include(:machines, :circuits, :jobs, :entries)
  end
end

RSpec.describe Store::All do
  subject(:store) { described_class.new(Store::Database.open(":memory:")) }

  before do
    store.machines.add(id: "m", name: "Scree", kind: "motorcycle")
    store.circuits.add(id: "c", machine_id: "m", name: "Clutch", sheet: {"kind" => "clutch_hand"})
    store.jobs.open(id: "j", circuit_id: "c", at: "2026-03-14T09:00:00Z")
  end

  def entry(id, data = {}, position: 1)
    {
      id: id,
      position: position,
      stage: "bleed",
      kind: "stroke",
      data: data,
      at: "2026-03-14T09:00:00Z",
      by: "R",
      corrects: nil
    }
  end

  it "gives entries back as they came, in order, with their place" do
    store.journals.append("j", entry("b", {"force" => 0.1 + 0.2, "text" => "größer"}))
    store.journals.append("j", entry("a", position: 2))
    found = store.journals.of_job("j")
    expect(found.map { |row| row.values_at(:id, :position) }).to eq [["b", 1], ["a", 2]]
    expect(found.first[:data]).to eq("force" => 0.1 + 0.2, "text" => "größer")
  end

  it "takes an entry id once, whatever the job" do
    store.journals.append("j", entry("a"))
    expect { store.journals.append("j", entry("a", position: 2)) }.to raise_error(Sequel::UniqueConstraintViolation)
    expect { store.journals.append("j", entry("b")) }.to raise_error(Sequel::UniqueConstraintViolation)
  end

  it "opens a job once however often it is asked" do
    expect(store.jobs.open(id: "j", circuit_id: "c", at: "2027-01-01T00:00:00Z")).to be false
    expect(store.jobs.find("j")[:opened_at]).to eq "2026-03-14T09:00:00Z"
  end

  it "keeps no journal for a job that is not there, nor a circuit without its machine" do
    expect { store.journals.append("nope", entry("a")) }.to raise_error(Sequel::ForeignKeyConstraintViolation)
    expect { store.circuits.add(id: "d", machine_id: "nope", name: "x", sheet: {}) }.to raise_error(
      Sequel::ForeignKeyConstraintViolation
    )
  end

  it "gives the moves of the shelf back as they came, and takes an id once" do
    move = ->(id, item) do
      {
        id: id,
        item: item,
        kind: "measured",
        data: {
          "ml" => 0.1 + 0.2,
          "reason" => "größer"
        },
        at: "2026-03-14T09:00:00Z",
        by: "R"
      }
    end
    [move["b", "bottle"], move["a", "kit"], move["c", "bottle"]].each { |each| store.stock_moves.append(each) }
    expect(store.stock_moves.between(0, 3)).to eq [move["b", "bottle"], move["a", "kit"], move["c", "bottle"]]
    expect(store.stock_moves.of_item("bottle", limit: 5).map { |each| each[:id] }).to eq %w[c b]
    expect(store.stock_moves.find("a")).to eq move["a", "kit"]
    expect(store.stock_moves.find("z")).to be_nil
    expect { store.stock_moves.append(move["b", "kit"]) }.to raise_error(Sequel::UniqueConstraintViolation)
  end

  it "keeps a photo byte for byte, the first under its id, and only for a job that is there" do
    bytes = (0..255).to_a.pack("C*") * 4
    photo = {id: "p", job_id: "j", at: "2026-03-14T09:00:00Z", width: 4, height: 3}
    store.photos.add(**photo, jpeg: bytes)
    store.photos.add(**photo, jpeg: "another")
    expect(store.photos.jpeg("p").b).to eq bytes
    expect(store.photos.find("p")).to eq photo
    expect([store.photos.find("q"), store.photos.jpeg("q")]).to eq [nil, nil]
    expect { store.photos.add(**photo, id: "q", job_id: "nobody", jpeg: bytes) }.to raise_error(
      Sequel::ForeignKeyConstraintViolation
    )
  end

  it "says what is missing" do
    expect { store.machines.find("x") }.to raise_error(Store::Missing, "there is no machine “x”")
    expect { store.circuits.find("x") }.to raise_error(Store::Missing)
    expect { store.jobs.find("x") }.to raise_error(Store::Missing)
  end

  it "keeps all of a transaction or nothing" do
    expect do
      store.transaction do
        store.journals.append("j", entry("a"))
        raise Sandbag::Refusal.at("", "no")
      end
    end.to raise_error(Sandbag::Refusal)
    expect(store.journals.of_job("j")).to be_empty
  end

  it "pages jobs newest first and machines by name" do
    store.jobs.open(id: "k", circuit_id: "c", at: "2026-03-15T09:00:00Z")
    expect(store.jobs.page(state: :open, limit: 1).map { |job| job[:id] }).to eq ["k"]
    expect(
      store
        .jobs
        .page(state: :open, limit: 5, after: Store::Cursor.write("2026-03-15T09:00:00Z", "k"))
        .map { |job| job[:id] }
    ).to eq ["j"]
    store.machines.add(id: "n", name: "Alder", kind: "kart")
    expect(store.machines.page(limit: 1).map { |machine| machine[:name] }).to eq ["Alder"]
    expect(
      store.machines.page(limit: 5, after: Store::Cursor.write("Alder", "n")).map { |machine| machine[:name] }
    ).to eq ["Scree"]
  end
end
