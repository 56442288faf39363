# frozen_string_literal: true

module Sandbag
  module Feel
    # What is tried at the lever besides the readings, in its order (docs/trade.md 8.1). What was not tried holds
    # nothing up; what was tried and came out badly does, until it is tried again and good.
    class Tests
      # @attr row [Hash] of feel_tests.yml; answer [String, nil]
      Test = Struct.new(:row, :answer, keyword_init: true) do
        def good?
          row["good"].include?(answer)
        end

        def bad?
          !answer.nil? && !good?
        end

        def to_h
          {id: row["id"], label: row["label"], how: row["how"], limit: row["limit"], answers: row["answers"],
           answer: answer, good: good?, road: (row["road"] if bad?)}.compact
        end
      end

      # @param taken [Job::Entries] since fluid last moved; kind [Circuit::Kind]
      def initialize(taken, kind)
        answers = taken.by("test", "test")
        @tests = Knowledge.table("feel_tests").select { |row| row["kinds"].nil? || row["kinds"].include?(kind.id) }
          .map { |row| Test.new(row: row, answer: answers.dig(row["id"], "value")).freeze }.freeze
        freeze
      end

      # @return [Array<Test>]
      def all
        @tests
      end

      # @return [Test, nil] the first that came out badly
      def bad
        @tests.find(&:bad?)
      end

      # @return [Array<Hash>] with locked: not before every other is good
      def to_a
        @tests.map { |test| test.to_h.merge(locked: locked?(test)) }
      end

      # Refuses a test that is not one of this circuit, an answer that is none, and a ride before all else is good.
      def admit(data)
        test = @tests.find { |each| each.row["id"] == data["test"] }
        unless test
          raise Refusal.at("data/test", "that is not tried on this circuit",
            @tests.map { |each| each.row["id"] }.join(", "))
        end
        unless test.row["answers"].key?(data["value"])
          raise Refusal.at("data/value", "“#{data["value"]}” is no answer to it", test.row["answers"].keys.join(", "))
        end
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
