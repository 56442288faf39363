# frozen_string_literal: true

require "sequel"
require "sqlite3"

Sequel.extension :migration

module Store
  # Opens the records for one server alone, and says in a sentence why they cannot be opened and what to do.
  module Opening
    # The sentence, for whoever started the server.
    class Fault < StandardError; end

    # Kept open for the life of the process: another server on the same records finds it locked.
    @locks = []

    # @param path [String]
    # @return [Sequel::Database] brought up to the newest schema
    # Raises Fault for records that another server has, that are damaged (nothing is written to them), that a newer
    # Sandbag wrote, or that cannot be written.
    def self.database(path)
      lock(path)
      check(path) if File.size?(path)
      Database.open(path)
    rescue Sequel::Migrator::Error
      raise Fault,
        "A newer Sandbag wrote the records at #{path}. Start that one, or name other records with SANDBAG_DATABASE."
    rescue Sequel::DatabaseError, SystemCallError => fault
      raise Fault, says(path, fault)
    end

    def self.lock(path)
      file = File.open("#{path}.lock", File::RDWR | File::CREAT, Database::OWNER_ALONE)
      unless file.flock(File::LOCK_EX | File::LOCK_NB)
        raise Fault, "Another Sandbag serves the records at #{path}. Use that one, or stop it first."
      end
      @locks << file
    end

    # Read only, so that a damaged file stays as it was found.
    def self.check(path)
      found = Sequel.sqlite(path, readonly: true) { |records| records.fetch("PRAGMA quick_check(1)").get(:quick_check) }
      raise Fault, damaged(path) unless found == "ok"
    rescue Sequel::DatabaseError => fault
      raise Fault, says(path, fault)
    end

    def self.says(path, fault)
      cause = fault.respond_to?(:wrapped_exception) ? fault.wrapped_exception || fault : fault
      case cause
      when SQLite3::NotADatabaseException, SQLite3::CorruptException
        damaged(path)
      when SQLite3::FullException, Errno::ENOSPC
        "The disc is full: the records at #{path} cannot be written. Make room and start again."
      when SQLite3::BusyException
        "Another program holds the records at #{path}. Close it and start again."
      else
        "The records at #{path} cannot be opened for writing: #{cause.message}. Look at the file, its folder and " \
          "who owns them."
      end
    end

    def self.damaged(path)
      "The records at #{path} are damaged. Nothing was written to them. Keep the file, and go back to a copy: " \
        "bin/restore FILE."
    end
    private_class_method :lock, :check, :says, :damaged
  end
end
