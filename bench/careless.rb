# frozen_string_literal: true

# Jobs that were worked well and then skipped in, contradicted, repeated and taken back at random, signed where they let
# themselves be signed: does any signature say what was not done?
#
#   bundle exec ruby bench/careless.rb [COUNT] [FIRST_SEED]      2000, 1
#
# Prints each untruth with its seed and slips, and how many jobs were signed.
require "bundler/setup"
require "json"
require "prism"
$LOAD_PATH.unshift("#{__dir__}/../lib", "#{__dir__}/../spec")
require "sandbag"
require "support/sheets"
require "support/jobs"
require "support/careless"
require "support/untruths"

count = Integer(ARGV[0] || 2000)
first = Integer(ARGV[1] || 1)
signed = 0
untrue = 0
(first...(first + count)).each do |seed|
  careless = Careless.new(seed)
  next unless careless.work
  signed += 1
  said = Untruths.new(careless.job).all
  next if said.empty?
  untrue += 1
  puts "seed #{seed}: #{said.join("; ")}\n  #{careless.slips.map(&:inspect).join("\n  ")}"
end
puts "#{count} jobs, #{signed} signed, #{untrue} of them untrue"
exit(untrue.zero?)
