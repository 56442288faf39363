# frozen_string_literal: true

module Sandbag
  module Choose
    # Which rows of the tables of things and tools a job takes: by what its route does and what its circuit has.
    class Scope
      # Columns that say which jobs a row is for. moves, renews, tests, out (ids of parts that come off) and stages: the
      # job has one of those that are named, of whichever column. fitting: a joint of this sort is opened. opened,
      # fluid, adds: a joint is opened, fluid is handled, a cylinder is added.
      COLUMNS = {
        **Circuit::SUITS,
        "moves?" => Array,
        "renews?" => Array,
        "tests?" => Array,
        "out?" => Array,
        "stages?" => Array,
        "fitting?" => String,
        "opened?" => [TrueClass, FalseClass],
        "fluid?" => [TrueClass, FalseClass],
        "adds?" => [TrueClass, FalseClass]
      }.freeze

      # @param sheet [Circuit::Sheet]; route [Job::Route]; work [Cylinder::Work]
      # @param joints [Array<Circuit::Place>] those the job opens; opened [Boolean] anything is opened
      def initialize(sheet, route, work, joints:, opened:)
        @sheet = sheet
        @flags = {"opened" => opened, "fluid" => route.handles_fluid?, "adds" => !route.adds.nil?}
        @has = {"moves" => route.moves, "renews" => route.renews, "tests" => route.tests,
                "stages" => route.stages, "out" => work.parts.map(&:plain)}
        @fittings = joints.map { |joint| joint.banjo? ? "banjo" : joint.fitting }.uniq
        freeze
      end

      # @param row [Hash] with some of COLUMNS
      def wants?(row)
        @sheet.suits?(row) && @flags.all? { |flag, here| here || !row[flag] } &&
          (row["fitting"].nil? || @fittings.include?(row["fitting"])) && one_of?(row)
      end

      # @param rows [Array<Hash>] of a table with COLUMNS
      # @return [Array<Hash>] those that this job takes
      def wanted(rows)
        rows.select { |row| wants?(row) }
      end

      private

      def one_of?(row)
        named = row.slice(*@has.keys)
        named.empty? || named.any? { |column, words| @has[column].intersect?(words) }
      end
    end
  end
end
