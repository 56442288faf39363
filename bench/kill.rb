# frozen_string_literal: true

# Two writers killed a thousand times: bench/kill.rb [ROUNDS [SEED]]. Ends with 1 when anything acknowledged is lost
# or doubled.
require_relative "../app/boot"
require_relative "../spec/support/kill_rounds"
require_relative "../spec/support/sheets"

seed = Integer(ARGV.fetch(1, Random.new_seed % 2**31))
circuits = Object.new.extend(Sheets)
killed = KillRounds.new(circuits.sheet(circuits.twin_disc_plain).to_h, seed: seed)
killed.rounds(Integer(ARGV.fetch(0, 1_000)))
puts "seed #{seed}: #{killed.acknowledged.size} acknowledged, #{killed.faults.size} faults", killed.faults
exit 1 if killed.faults.any?
