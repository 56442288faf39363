# frozen_string_literal: true

# Copies the records into one file: ruby store/backup.rb FILE. SQLite makes the copy, so that it is whole although
# others write.
require_relative "../app/boot"
require "sequel"

from = App::Settings.database
to = File.expand_path(ARGV.fetch(0))
abort "There are no records at #{from}." unless File.exist?(from)
abort "#{to} is there already: choose another name." if File.exist?(to)
Sequel.sqlite(from, readonly: true) { |records| records.run("VACUUM INTO #{records.literal(to)}") }
File.chmod(0o600, to)
check =
  Sequel.sqlite(to, readonly: true) do |copy|
    copy.get(Sequel.lit("(SELECT integrity_check FROM pragma_integrity_check)"))
  end
abort "The copy is damaged: #{check}. The records at #{from} need a look." unless check == "ok"
puts "#{to}: #{File.size(to) / 1000} kB, whole."
