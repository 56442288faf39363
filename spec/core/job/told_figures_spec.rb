# frozen_string_literal: true

require_relative "../../support/told_figures"

# Whole jobs of every kind tell the figures that they told before. A change of one is meant, and has its line in
# CHANGELOG; HOLD=1 holds the new ones. bench/told.rb prints the figures themselves.
RSpec.describe "The figures of a whole job" do
  jobs = [
    ["kart_front_rear", "reseal_mc", "a full bench"], ["road_front_twin", "reseal_mc", "a luggage scale and a ruler"],
    ["road_clutch", "slave_work", "a full bench"], ["bike_front", "bleed", "bottles and a ruler"],
    ["snow_jackshaft", "bleed", "hands only"], ["combined", "bleed", "a full bench"],
    ["scooter_rear", "renew_mc", "a full bench"]
  ]

  jobs.each do |template, route, owned|
    it "stay what they were: #{template.tr("_", " ")}, #{Sandbag::Job::Route.find(route).label}, with #{owned}" do
      file = "#{__dir__}/../../fixtures/told/#{template}.txt"
      told = ToldFigures.new(template, route, ByNow::OWNED.fetch(owned)).digests.map { |part, mark| "#{part} #{mark}" }
      File.write(file, "#{told.join("\n")}\n") if ENV["HOLD"]
      held = File.readlines(file, chomp: true)
      parts = ((held - told) | (told - held)).map { |line| line.rpartition(" ").first }.uniq
      expect(parts).to be_empty, "other figures in #{parts.first(20).join(", ")}: bundle exec ruby bench/told.rb " \
        "#{template} #{route} \"#{owned}\" prints them"
    end
  end
end
