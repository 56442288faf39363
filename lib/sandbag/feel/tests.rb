# frozen_string_literal: true

module Sandbag
  module Feel
    # What is tried at the lever besides the readings, in its order (docs/trade.md 8.1). What was not tried holds
    # nothing up; what was tried and came out badly does, until it is tried again and good.
    class Tests
      # @param taken [Job::Entries] since fluid last moved; kind [Circuit::Kind]
      def initialize(taken, kind)
        rows = Knowledge.table("feel_tests").select { |row| row["kinds"].nil? || row["kinds"].include?(kind.id) }
        @tests = Job::Asked.all(rows, taken.by("test", "test")).freeze
        freeze
      end

      # @return [Array<Job::Asked>]
      def all
        @tests
      end

      # @return [Job::Asked, nil] the first that came out badly
      def bad
        @tests.find(&:bad?)
      end

      # @return [Array<Hash>] with locked: not before every other is good
      def to_a
        @tests.map do |test|
          road = test.row["road"] if test.bad?
          {**test.to_h, how: test.row["how"], limit: test.row["limit"], road: road, locked: locked?(test)}.compact
        end
      end

      # Refuses a test that is not one of this circuit, an answer that is none, and a ride before all else is good.
      def admit(data)
        test = @tests.find { |each| each.id == data["test"] }
        unless test
          raise Refusal.at("data/test", "that is not tried on this circuit", @tests.map(&:id).join(", "))
        end
        test.refuse_unknown(data["value"])
        return unless locked?(test)
        raise Refusal.at("data/test", "not before every other test is good",
          @tests.reject { |each| each.row["after_all"] || each.good? }.map { |each| each.row["label"] }.join(", "))
      end

      private

      def locked?(test)
        test.row["after_all"] == true && @tests.any? { |each| !each.row["after_all"] && !each.good? }
      end
    end
  end
end
