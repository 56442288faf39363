# frozen_string_literal: true

require "sequel"

module Store
  # Opens the one database file and brings it up to the newest schema.
  module Database
    MIGRATIONS = "#{__dir__}/migrations"
    BUSY_TIMEOUT_MS = 5000
    MEMORY = ":memory:"
    OWNER_ALONE = 0o600
    # One for each thread of the server: a read never waits for a writer.
    CONNECTIONS = 18

    # @param path [String] file, made when absent
    # @return [Sequel::Database] with foreign keys on, WAL, and every commit on the disc before it is acknowledged
    def self.open(path)
      RecordsFile.create(path) unless path == MEMORY
      database = Sequel.connect(adapter: "sqlite", database: path, max_connections: (path == MEMORY) ? 1 : CONNECTIONS,
        foreign_keys: true, after_connect: method(:prepare))
      Sequel.extension :migration
      Sequel::Migrator.run(database, MIGRATIONS)
      RecordsFile.mark(database)
      database
    end

    # A connection that waits for another lets the other threads of this process go on meanwhile.
    def self.prepare(connection)
      connection.busy_handler_timeout = BUSY_TIMEOUT_MS
      connection.execute_batch("PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL;")
    end
    private_class_method :prepare
  end
end
