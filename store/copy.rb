# frozen_string_literal: true

require "fileutils"
require "securerandom"
require "sequel"

module Store
  # Whole copies of the records: out while they are in use, and back in their place.
  module Copy
    # Why nothing was copied, in one sentence.
    class Fault < StandardError; end

    PARTS = ["", "-wal", "-shm"].freeze
    WRONG = {
      damaged: "%s is damaged. Nothing was changed.",
      foreign: "%s holds another program's data. Nothing was changed.",
      newer: "%s was written by a newer Sandbag. Nothing was changed."
    }.freeze

    # @param from [String] the records; to [String] a file that is not there yet
    # @return [Integer] bytes
    def self.out(from, to)
      raise Fault, "There are no records at #{from}." unless File.size?(from)
      raise Fault, "#{to} is there already: choose another name." if File.exist?(to)
      raise Fault, "There is no folder #{File.dirname(to)}." unless File.directory?(File.dirname(to))
      written(from, to)
      File.size(to)
    end

    # @param from [String] a copy; to [String] where the records are, or will be
    # @return [String, nil] where what was there is now
    # Nothing is moved before the whole copy is in the folder of the records.
    def self.in(from, to)
      refuse(from, to)
      FileUtils.mkdir_p(File.dirname(to))
      alone(to) do
        new = "#{to}.new-#{SecureRandom.hex(4)}"
        written(from, new)
        aside = move_aside(to) if File.exist?(to)
        File.rename(new, to)
        aside
      end
    end

    # SQLite makes the copy, so that it is whole although others write.
    def self.written(from, to)
      RecordsFile.create(to)
      Sequel.sqlite(from, readonly: true) { |records| records.run("VACUUM INTO #{records.literal(to)}") }
      fault = RecordsFile.fault(to)
      raise Fault, format(WRONG.fetch(fault), to) if fault
      File.open(to, &:fsync)
    rescue Sequel::DatabaseError, SystemCallError, Fault => fault
      FileUtils.rm_f(to)
      raise if fault.is_a?(Fault)
      raise Fault, "#{to} could not be written: #{fault.message.lines.first.strip}. Nothing was changed."
    end

    def self.refuse(from, to)
      raise Fault, "There is no copy at #{from}." unless File.exist?(from)
      raise Fault, "#{from} is a folder. Name the copy itself." if File.directory?(from)
      raise Fault, "#{to} is a folder. Name a file with SANDBAG_DATABASE." if File.directory?(to)
      raise Fault, "#{from} is the records themselves." if File.identical?(from, to)
      raise Fault, "#{from} is empty. Nothing was changed." if File.zero?(from)
      fault = RecordsFile.fault(from)
      raise Fault, format(WRONG.fetch(fault), from) if fault
    rescue Sequel::DatabaseError => fault
      raise Fault, "#{from} could not be read: #{fault.message.lines.first.strip}. Nothing was changed."
    end

    # As the server locks them.
    def self.alone(path)
      return yield unless File.exist?(path)
      File.open(path, File::RDWR) do |file|
        raise Fault, "Sandbag is running on #{path}. Stop it first." unless file.flock(File::LOCK_EX | File::LOCK_NB)
        yield
      end
    end

    # The records stay where they are until the new file takes their name; what SQLite keeps with them goes first.
    def self.move_aside(path)
      aside = free_name(path)
      File.link(path, aside)
      PARTS.drop(1).each { |part| File.rename("#{path}#{part}", "#{aside}#{part}") if File.exist?("#{path}#{part}") }
      aside
    end

    def self.free_name(path)
      name = "#{path}.#{Time.now.strftime("%Y-%m-%d-%H%M%S")}"
      numbered = (2..).lazy.map { |number| "#{name}-#{number}" }
      taken = ->(each) { PARTS.any? { |part| File.exist?("#{each}#{part}") } }
      taken[name] ? numbered.find { |each| !taken[each] } : name
    end
    private_class_method :written, :refuse, :alone, :move_aside, :free_name
  end
end
