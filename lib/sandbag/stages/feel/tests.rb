# frozen_string_literal: true

module Sandbag
  module Feel
    # What is tried at the lever besides the readings, in its order (docs/trade.md 8.1). What was not tried holds
    # nothing up; what was tried and came out badly does, until it is tried again and good.
    class Tests
      # @param taken [Job::Entries] since fluid last moved; kind [Circuit::Kind]
      # @param proven [#call] whether the lever is passed and held: before, nothing is ridden
      # @param fitted [#call] given a proof, whether Fit of this job has to do with it: it is not tried here again
      # @param two_controls [Boolean] another control works on the same far end; rubber_pair [Boolean] two hoses or more
      #   can be clamped, each with a caliper at its end
      def initialize(taken, kind, proven: -> { true }, fitted: ->(_) { false }, two_controls: false, rubber_pair: false)
        @proven = proven
        rows = Tables.rows("feel_tests").select do |row|
          (kind.suits?(row) || (two_controls && row["two_controls"])) && (rubber_pair || !row["rubber_pair"]) &&
            !(row["proof"] && fitted.call(row["proof"]))
        end.map { |row| {**row, "how" => kind.fill(row["how"])} }
        @amounts = rows.to_h { |row| [row["id"], row["amount"]] }.compact
        @tried = taken.by("test", "test")
        @tests = Job::Asked.all(rows, @tried.transform_values { |data| {"value" => read_answer(data)} }).freeze
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

      # @return [Job::Asked, nil]
      def find(id)
        @tests.find { |test| test.id == id }
      end

      # It is tried on this circuit.
      def there?(id)
        !find(id).nil?
      end

      # @return [String, nil] what a test came out as
      def answer(id)
        find(id)&.answer
      end

      # @return [Array<Hash>] with locked: not before every other is good
      def to_a
        @tests.map do |test|
          road = test.row["road"] if test.bad?
          {**test.to_h, how: test.row["how"], limit: test.row["limit"], road: road, locked: locked?(test),
           measures: measures(test), amount: amount(@tried[test.id])}.compact
        end
      end

      # Refuses a test that is not one of this circuit, an answer that is none, and a ride before all else is good.
      def admit(data)
        test = find(data["test"])
        unless test
          raise Refusal.at("data/test", "that is not tried on this circuit", @tests.map(&:id).join(", "))
        end
        test.refuse_unknown(given(data))
        return unless locked?(test)
        raise Refusal.at("data/test", "not before the lever is proven and every other test is good",
          ["the verdict", "the hold test",
            *@tests.reject { |each| each.row["after_all"] || each.good? }.map { |each| each.row["label"] }].join(", "))
      end

      private

      # What was read off says by itself which answer it is.
      def read_answer(data)
        read = amount(data)
        return data["value"] unless read
        limits = @amounts.fetch(data["test"])
        return limits["below"] if read < limits["least"]
        (read > limits["most"]) ? limits["above"] : limits["good"]
      end

      # @return [Float, nil] in the unit of the test
      def amount(data)
        limits = data && data["amount"] && @amounts[data["test"]]
        limits && Units.parse(data["amount"], limits["dimension"].to_sym)
      end

      # An answer, or a reading where the test has one.
      def given(data)
        return data["value"] unless data["amount"]
        raise Refusal.at("data/amount", "nothing is read off there", "an answer") unless @amounts[data["test"]]
        Refusal.within("data/amount") do
          raise Refusal.at("", "less than nothing", "0 or more") if amount(data).negative?
          read_answer(data)
        end
      end

      def measures(test)
        limits = @amounts[test.id]
        limits && {label: limits["label"], dimension: limits["dimension"], unit: Units.unit(limits["dimension"].to_sym)}
      end

      def locked?(test)
        test.row["after_all"] == true &&
          (!@proven.call || @tests.any? { |each| !each.row["after_all"] && !each.good? })
      end
    end
  end
end
