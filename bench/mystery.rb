# frozen_string_literal: true

# The ranking of causes held against levers whose fault is known: bench/mystery.rb [seeds [circuit]]. The rider's
# words are known; the best tests are done in their order; counted is how often the true cause stands first after five,
# and after seven. Prints every miss after five.
require_relative "../app/boot"

seeds = Integer(ARGV.fetch(0, 500))
circuit = ARGV.fetch(1, Sandbag::Rig::Mystery::TEMPLATE)
misses = Hash.new(0)
right = {5 => 0, 7 => 0}
(1..seeds).each do |seed|
  search = App::MysterySearch.new(seed.to_s, template: circuit, pairs: false)
  done = []
  (1..right.keys.max).each do |count|
    ids = search.best
    break if ids.empty?
    ids.each { |id| search.try(id) }
    done << ids.map { |id| "#{id} #{search.value(id) || "nothing"}" }.join(" and ")
    next unless right.key?(count)
    first = search.ask.diagnosis.ranks.first.cause["id"]
    true_cause = search.mystery.causes.first
    right[count] += 1 if first == true_cause
    misses["#{true_cause} taken for #{first}: #{done.join(", ")}"] += 1 if count == 5 && first != true_cause
  end
end
misses.sort_by { |_, times| -times }.each { |miss, times| puts "#{times} × #{miss}" }
right.each { |count, found|
  puts format("after %d tests %d of %d, %.1f %%", count, found, seeds, 100.0 * found / seeds)
}
