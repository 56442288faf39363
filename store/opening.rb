# frozen_string_literal: true

require "sequel"
require "sqlite3"

Sequel.extension :migration

module Store
  # Opens the records for one server alone, and says in a sentence why they cannot be opened and what to do.
  module Opening
    # The sentence, for whoever started the server.
    class Fault < StandardError; end

    # Kept open for the life of the process: another server on the same file, by whatever name, finds it locked.
    @locks = []

    # @param path [String]
    # @return [Sequel::Database] brought up to the newest schema
    # Raises Fault for records that another server has, that are damaged or another program's (nothing is written to
    # them), that a newer Sandbag wrote, or that cannot be written.
    def self.database(path)
      RecordsFile.create(path)
      lock(path)
      check(path) if File.size?(path)
      Database.open(path)
    rescue Sequel::DatabaseError, SystemCallError => fault
      raise Fault, says(path, fault)
    end

    def self.lock(path)
      file = File.open(path, File::RDWR)
      unless file.flock(File::LOCK_EX | File::LOCK_NB)
        raise Fault, "Another Sandbag serves the records at #{path}. Use that one, or stop it first."
      end
      @locks << file
    end

    FAULTS = {
      damaged: "The records at %s are damaged. Nothing was written to them. Keep the file, and go back to a copy: " \
        "bin/restore FILE.",
      foreign: "The file at %s holds another program's data. Nothing was written to it. Name another file with " \
        "SANDBAG_DATABASE.",
      newer: "A newer Sandbag wrote the records at %s. Start that one, or name other records with SANDBAG_DATABASE."
    }.freeze

    def self.check(path)
      fault = RecordsFile.fault(path, whole: false)
      raise Fault, format(FAULTS.fetch(fault), path) if fault
    end

    def self.says(path, fault)
      cause = fault.respond_to?(:wrapped_exception) ? fault.wrapped_exception || fault : fault
      case cause
      when SQLite3::NotADatabaseException, SQLite3::CorruptException
        format(FAULTS.fetch(:damaged), path)
      when SQLite3::FullException, Errno::ENOSPC
        "The disc is full: the records at #{path} cannot be written. Make room and start again."
      when SQLite3::BusyException
        "Another program holds the records at #{path}. Close it and start again."
      when Errno::EISDIR
        "#{path} is a folder. Name a file with SANDBAG_DATABASE."
      else
        "The records at #{path} cannot be opened for writing: #{cause.message}. Look at the file, its folder and " \
          "who owns them."
      end
    end
    private_class_method :lock, :check, :says
  end
end
