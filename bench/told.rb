# frozen_string_literal: true

# The figures that are held in spec/fixtures/told, part by part, to hold against those of another commit:
# bundle exec ruby bench/told.rb kart_front_rear reseal_mc "a full bench"   a whole job
# bundle exec ruby bench/told.rb rooms bleeding                             every template in a room
# bundle exec ruby bench/told.rb slips                                      jobs of a careless mechanic
require_relative "../app/boot"
require "rspec/matchers"
require_relative "../spec/support/sheets"
require_relative "../spec/support/told_job"
require_relative "../spec/support/told_practice"
require_relative "../spec/support/told_rooms"
require_relative "../spec/support/told_slips"

parts = case ARGV
in ["rooms", room] then [ToldRooms, ToldPractice].find { |told| told::ROOMS.include?(room) }.parts(room)
in ["slips"] then ToldSlips.parts
in [template, route, owned] then ToldJob.new(template, route, owned).parts
end
parts.each { |part, told| Held.figures(told).each { |figure| puts "#{part}: #{figure}" } }
