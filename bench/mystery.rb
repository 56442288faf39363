# frozen_string_literal: true

# The ranking of causes held against levers whose fault is known: bench/mystery.rb [seeds]. On each the best tests
# are done in their order; counted is how often the true cause stands first after five, and after seven. Prints every
# miss after five.
require_relative "../app/boot"

seeds = Integer(ARGV.fetch(0, 500))
rows = Sandbag::Rig::LeverTests.rows
misses = Hash.new(0)
right = {5 => 0, 7 => 0}
(1..seeds).each do |seed|
  mystery = Sandbag::Rig::Mystery.new(seed.to_s)
  tests = Sandbag::Rig::LeverTests.new(mystery)
  diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, {"side" => "brake", "abs" => "none"})
  done = []
  (1..right.keys.max).each do |count|
    offer = Sandbag::Ask::NextTest.new(diagnosis, rows).best(1).first or break
    value = tests.value(offer.finding["id"])
    done << "#{offer.finding["id"]} #{value}"
    diagnosis = diagnosis.with(offer.finding["id"], value)
    next unless right.key?(count)
    first = diagnosis.ranks.first.cause["id"]
    right[count] += 1 if first == mystery.cause
    misses["#{mystery.cause} taken for #{first}: #{done.join(", ")}"] += 1 if count == 5 && first != mystery.cause
  end
end
misses.sort_by { |_, times| -times }.each { |miss, times| puts "#{times} × #{miss}" }
right.each { |count, found|
  puts format("after %d tests %d of %d, %.1f %%", count, found, seeds, 100.0 * found / seeds)
}
