# frozen_string_literal: true

# Puts a copy in place of the records: ruby store/restore.rb FILE. What was there is moved aside, never deleted.
require_relative "../app/boot"

from = File.expand_path(ARGV.fetch(0))
to = App::Settings.database
begin
  aside = Store::Copy.in(from, to)
rescue Store::Copy::Fault => fault
  abort fault.message
end
puts "#{from} is in place at #{to}.#{" What was there is at #{aside}." if aside}"
