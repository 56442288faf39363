# frozen_string_literal: true

# How many cards a mechanic answers from complaint to signature, on each template: bench/taps.rb [route …]. A card is a
# tap, a key or a figure; nothing is skipped.
require_relative "../app/boot"
require "json"
Dir["#{__dir__}/../spec/support/{sheets,cylinder_work,fit_work,jobs,by_now}.rb"].each { |path| require path }

routes = ARGV.empty? ? %w[bleed reseal_mc] : ARGV
puts (" " * 22) + routes.map { |route| format("%12s", route) }.join
Sandbag::Tables.rows("circuit_templates").each do |row|
  counts = routes.map do |id|
    next "-" unless Sandbag::Job::Route.find(id).suits?(Sandbag::Circuit::Template.sheet(row["id"]).kind)
    hand = ByNow.new(JobInMemory.of_template(row["id"]), id)
    hand.work ? hand.seen.size : "not signed"
  end
  puts format("%-22s", row["id"]) + counts.map { |count| format("%12s", count) }.join
end
