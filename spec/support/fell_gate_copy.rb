# frozen_string_literal: true

require_relative "../../demo/fell_gate"

# Fell Gate Garage, loaded once for each moment and copied into the stores of the examples.
module FellGateCopy
  TABLES = %i[
    machines circuits jobs entries settings comparisons stock_moves photos levers lever_standings dues rechecks
  ].freeze

  # @param store [Store::All] empty; now [Time] the jobs' times count back from here
  def self.into(store, now)
    database = store.instance_variable_get(:@database)
    rows(now).each { |table, all| database[table].multi_insert(all) }
  end

  def self.rows(now)
    @rows ||= {}
    @rows[now] ||= begin
      original = Store::Database.open(":memory:")
      loaded = Store::All.new(original)
      Demo::FellGate.new(loaded, now).load
      TABLES.to_h { |table| [table, original[table].all] }
    end
  end
  private_class_method :rows
end
