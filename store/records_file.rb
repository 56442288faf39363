# frozen_string_literal: true

require "sequel"
require "sqlite3"

module Store
  # What a file has to be before Sandbag takes it for its records: SQLite, whole, Sandbag's own, and not of a newer one.
  module RecordsFile
    # In the file's header, where SQLite keeps whose file it is: “Sbag”.
    APPLICATION_ID = 0x53626167
    # Every file that Sandbag wrote before it marked them has these.
    OWN_TABLES = %i[schema_info machines circuits jobs].freeze

    # @param path [String] of a file that is not empty; whole [Boolean] every index is held against its table as well,
    #   which takes long
    # @return [Symbol, nil] damaged, foreign or newer; nil for records that can be used
    # Opens it for reading only, so that a damaged file stays as it was found.
    def self.fault(path, whole: true)
      check = whole ? :integrity_check : :quick_check
      Sequel.sqlite(path, readonly: true) do |records|
        next :damaged unless records.fetch("PRAGMA #{check}(1)").get(check) == "ok"
        next :foreign unless own?(records)
        :newer if version(records) > newest
      end
    rescue Sequel::DatabaseError => fault
      cause = fault.respond_to?(:wrapped_exception) ? fault.wrapped_exception : fault
      raise unless damage?(cause)
      :damaged
    end

    # @param database [Sequel::Database] brought up to the newest schema
    def self.mark(database)
      return if application_id(database) == APPLICATION_ID
      database.run("PRAGMA application_id = #{APPLICATION_ID}")
    end

    # A file that only its owner may read, before anything is written to it: SQLite gives the two files that it keeps
    # with it the same rights.
    def self.create(path)
      File.open(path, File::RDWR | File::CREAT | File::EXCL, Database::OWNER_ALONE).close
    rescue Errno::EEXIST
      File.chmod(Database::OWNER_ALONE, path)
    end

    def self.own?(records)
      id = application_id(records)
      id == APPLICATION_ID || (id.zero? && (OWN_TABLES - records.tables).empty?)
    end

    def self.application_id(records)
      records.fetch("PRAGMA application_id").get(:application_id)
    end

    def self.version(records)
      records[:schema_info].get(:version).to_i
    end

    def self.newest
      Dir["#{Database::MIGRATIONS}/*.rb"].map { |file| File.basename(file).to_i }.max
    end

    def self.damage?(cause)
      [SQLite3::NotADatabaseException, SQLite3::CorruptException].any? { |kind| cause.is_a?(kind) }
    end
    private_class_method :own?, :application_id, :version, :newest, :damage?
  end
end
