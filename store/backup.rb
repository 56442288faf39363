# frozen_string_literal: true

# Copies the records into one file: ruby store/backup.rb FILE.
require_relative "../app/boot"

to = File.expand_path(ARGV.fetch(0))
begin
  bytes = Store::Copy.out(App::Settings.database, to)
rescue Store::Copy::Fault => fault
  abort fault.message
end
puts "#{to}: #{bytes / 1000} kB, whole."
