# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

# Five hundred requests made up from the contract; bench/fuzz.rb sends ten thousand.
RSpec.describe "Anything the contract can be made to say", :api do
  it "is answered without a fault of ours, stores nothing it refused, and leaves everything readable" do
    FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26))
    run = FuzzRun.new(app, store, seed: Kernel.rand(2**31))
    run.send_requests(500)
    expect(run.faults).to be_empty, "seed #{run.seed}: #{run.faults.first(3).join("\n")}"
    expect(run.statuses.keys.map { |status| status / 100 }.uniq).to match_array [2, 4]
    expect(run.unreadable).to be_empty, "seed #{run.seed}: #{run.unreadable.first(3).join("\n")}"
  end
end
