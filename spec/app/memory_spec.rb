# frozen_string_literal: true

RSpec.describe App::Memory, :api do
  it "folds a move once, though it comes in while the shelf is being read" do
    folder = Dir.mktmpdir
    store = Store::All.new(Store::Database.open("#{folder}/shelf.db"))
    kit = {"kind" => "washer", "name" => "Washers", "count" => 5, "fields" => {"metal" => "copper", "bore" => 10}}
    append = lambda do |id, kind, data|
      store.stock_moves.append(id: id, item: "washers", kind: kind, data: data, at: "2026-03-14T08:00:00Z", by: "x")
    end
    append.call("in", "added", kit)
    allow(store.stock_moves).to receive(:position).and_wrap_original do |newest|
      newest.call.tap { append.call("more", "received", {"count" => 2}) if store.stock_moves.find("more").nil? }
    end
    memory = described_class.new
    expect(memory.stock(store).last.find("washers").amount).to eq 5
    2.times { expect(memory.stock(store).last.find("washers").amount).to eq 7 }
  end
end
