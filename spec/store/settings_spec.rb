# frozen_string_literal: true

require "tmpdir"

RSpec.describe Store::Settings do
  around { |example|
    Dir.mktmpdir { |folder|
      @path = "#{folder}/records.db"
      example.run
    }
  }

  def open_store
    Store::All.new(Store::Opening.database(@path))
  end

  it "gives back what was written, and the same text for the same setting" do
    store = open_store
    expect(store.settings.text("shop")).to be_nil
    store.settings.write("shop", {"name" => "Fell Gate"})
    expect(store.settings.read("shop")).to eq("name" => "Fell Gate")
    expect(store.settings.text("shop")).to eq store.settings.text("shop")
  end

  it "holds nobody up by having been read: the next write sees what came in between" do
    store, other = open_store, nil
    store.settings.write("shop", {"name" => "one"})
    store.settings.text("shop")
    other = Sequel.sqlite(@path)
    other[:settings].insert_conflict(:replace).insert(name: "band", value: "{}")
    expect { store.transaction { store.settings.write("shop", {"name" => "two"}) } }.not_to raise_error
  ensure
    other&.disconnect
  end
end
