# frozen_string_literal: true

require "digest"
require "psych"

module Sandbag
  # The trade's tables, read from `knowledge/<room>/*.yml` and checked when they are first asked for. A file with an
  # unknown column, a missing one, a wrong kind of value or a duplicate id refuses to load, naming file and line.
  # Which columns a table has is said by the room it lies in (its `Schemas`); nothing here knows a room.
  module Tables
    # A table that cannot be trusted. A fault of the file, not of a user.
    class Fault < StandardError; end

    FOLDER = File.expand_path("../knowledge", __dir__)

    # @param block gives the Schemas of every room: TABLES, {table => Schema}, and where a room has them ALSO, {another
    #   room's table => what is wrong with a row}; called when a table is first read
    def self.register(&block)
      @register = block
    end

    # @return [Hash{String => Schema}] every table there is
    def self.schemas
      @schemas ||= rooms.map { |room| room::TABLES }
        .reduce { |all, tables| all.merge(tables) { |name| raise Fault, "two rooms have a table #{name}" } }.freeze
    end

    # @return [Array<String>]
    def self.names
      schemas.keys
    end

    # @return [Array<Hash>] the rows of a table, frozen
    def self.rows(name)
      @rows ||= {}
      @rows[name] || load(name)
    end

    # @return [Array<Hash>] rows of one file, checked against the schema of the table it is for
    def self.read(name, path)
      schemas.fetch(name).read(path)
    end

    # Reads every table, so that a fault is found before anybody works by it.
    def self.load_all
      names.each { |name| rows(name) }
    end

    # @return [Hash, nil] one row by its id
    def self.find(name, id)
      @by_id ||= {}
      (@by_id[name] ||= rows(name).to_h { |row| [row["id"], row] }.freeze)[id]
    end

    # @return [Array<String>]
    def self.ids(name)
      rows(name).map { |row| row["id"] }
    end

    # @param pointer [String] where the id stands; message [String] what is said of one that is not known
    # @return [Hash] one row by its id
    # Refuses an id that the table has not, with those that it has.
    def self.fetch(name, id, pointer, message)
      find(name, id) || raise(Refusal.at(pointer, message, ids(name).join(", ")))
    end

    # @return [String, nil] what is wrong with a row that names ids of another table
    def self.unknown(name, ids)
      odd = ids.reject { |id| find(name, id) }
      "names unknown #{odd.join(", ")}; #{name} has none such" if odd.any?
    end

    # Names the tables as they are: another edition may rank, judge and word otherwise. A signed job keeps the edition
    # it was decided by.
    # @return [String]
    def self.edition
      @edition ||= Digest::SHA256.hexdigest(files.map { |path| ::File.read(path) }.join)[0, 12].freeze
    end

    def self.rooms
      @rooms ||= @register.call
    end

    # It is kept before other rooms look at it, since they may read it too.
    def self.load(name)
      rows = @rows[name] = paths(name).flat_map { |path| read(name, path) }.freeze
      rooms.each do |room|
        also = room.const_defined?(:ALSO, false) && room::ALSO[name]
        rows.each { |row| also.call(row)&.then { |wrong| raise Fault, "#{name}: #{row["id"]} #{wrong}" } } if also
      end
      rows
    end

    # A table may lie in several rooms, and be one file or a folder of files.
    def self.paths(name)
      @paths ||= files.group_by { |path| path.delete_prefix("#{FOLDER}/").split("/")[1].delete_suffix(".yml") }
      @paths.fetch(name)
    end

    def self.files
      @files ||= Dir["#{FOLDER}/**/*.yml"].sort.freeze
    end
    private_class_method :rooms, :load, :paths, :files
  end
end
