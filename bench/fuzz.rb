# frozen_string_literal: true

# Twenty thousand requests made up from the contract against Fell Gate Garage: bench/fuzz.rb [COUNT [SEED]]. Ends with 1
# on any fault.
require_relative "../app/boot"
require_relative "../demo/fell_gate"
require_relative "../spec/support/fuzz"
require_relative "../spec/support/fuzz_run"

store = Store::All.new(Store::Database.open(":memory:"))
Demo::FellGate.new(store, Time.now).load
run = FuzzRun.new(App::Server.build(store), store, seed: Integer(ARGV.fetch(1, Random.new_seed % 2**31)))
run.send_requests(Integer(ARGV.fetch(0, 20_000)))
left = run.unreadable
puts "seed #{run.seed}: #{run.statuses.sort.map { |status, count| "#{count} × #{status}" }.join(", ")}"
puts run.faults, left
exit 1 if run.faults.any? || left.any?
