# frozen_string_literal: true

# Puts a copy in place of the records: ruby store/restore.rb FILE. What was there is moved aside, never deleted.
require_relative "../app/boot"
require "fileutils"
require "sequel"

from = File.expand_path(ARGV.fetch(0))
to = App::Settings.database
abort "There is no copy at #{from}." unless File.file?(from)
abort "#{from} is the records themselves." if File.identical?(from, to)

begin
  found =
    Sequel.sqlite(from, readonly: true) do |copy|
      copy.get(Sequel.lit("(SELECT integrity_check FROM pragma_integrity_check)"))
    end
rescue Sequel::DatabaseError => fault
  found = fault.message
end
abort "#{from} is damaged: #{found}. Nothing was changed." unless found == "ok"

FileUtils.mkdir_p(File.dirname(to))
File.open("#{to}.lock", File::RDWR | File::CREAT, 0o600) do |lock|
  abort "Sandbag is running on #{to}. Stop it first." unless lock.flock(File::LOCK_EX | File::LOCK_NB)
  aside = "#{to}.#{Time.now.strftime("%Y-%m-%d-%H%M%S")}"
  ["", "-wal", "-shm"].each { |part| FileUtils.mv("#{to}#{part}", "#{aside}#{part}") if File.exist?("#{to}#{part}") }
  FileUtils.cp(from, "#{to}.new")
  File.chmod(0o600, "#{to}.new")
  File.open("#{to}.new", &:fsync)
  File.rename("#{to}.new", to)
  puts "#{from} is in place at #{to}.#{" What was there is at #{aside}." if File.exist?(aside)}"
end
