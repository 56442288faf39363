# frozen_string_literal: true

# The figures that a whole job tells, part by part, to hold against those of another commit:
# bundle exec ruby bench/told.rb kart_front_rear reseal_mc "a full bench"
require_relative "../app/boot"
require "json"
require_relative "../spec/support/sheets"
require_relative "../spec/support/told_figures"

template, route, owned = ARGV
ToldFigures.new(template, route, ByNow::OWNED.fetch(owned || "a full bench")).parts.each do |part, figures|
  figures.each { |figure| puts "#{part}: #{figure}" }
end
