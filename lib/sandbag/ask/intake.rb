# frozen_string_literal: true

module Sandbag
  module Ask
    # The questions before anything else (docs/trade.md 1.1): what the record knows is filled in and only confirmed.
    class Intake
      # @param answers [Hash{String => String}] question => value as the mechanic entered it
      # @param sheet [Circuit::Sheet]; machine_kind [String, nil] of machine_kinds.yml, where it is known
      def initialize(answers, sheet, machine_kind = nil)
        @answers = answers.freeze
        @sheet = sheet
        @machine_kind = machine_kind
        freeze
      end

      # @return [Array<Hash>] questions that concern this circuit
      def questions
        side = @sheet.clutch? ? "c" : "b"
        Knowledge.table("intake").select { |row| ["a", side].include?(row["for"]) && of_kind?(row) }
      end

      # @return [String, nil] what was answered, else what somebody entered in the record; a default is not knowledge
      def value(id)
        @answers.fetch(id) { recorded(Knowledge.find("intake", id)) }
      end

      def answered?(id)
        @answers.key?(id)
      end

      # Answers as facts for flags and gates: only what the mechanic said, and ABS, which the record may say too.
      # @return [Hash{String => String}]
      def facts
        @sheet.clutch? ? @answers : {"abs" => @sheet.value("vehicle", "abs")}.merge(@answers)
      end

      # @return [Array<Hash>] id, ask, values, value, confirmed; answered ones last
      def to_h
        questions.map { |row| {id: row["id"], ask: row["ask"], values: row["values"], value: value(row["id"]), confirmed: answered?(row["id"])}.compact }
      end

      private

      def of_kind?(row)
        @machine_kind.nil? || row["kinds"].nil? || row["kinds"].include?(@machine_kind)
      end

      def recorded(row)
        return derived(row["derived"]) if row["derived"]
        return unless row["record"]
        part, field = row["record"].split(".")
        entry = @sheet.values(@sheet.parts_of(part).first).fetch(field)
        entry.value unless entry.source == Circuit::Source::DEFAULT || !row["values"].key?(entry.value)
      end

      def derived(what)
        case what
        when "sole_brake" then @sheet.kind.sole? ? "yes" : nil
        when "lines_out" then @sheet.parts_of("line").count { |line| line["from"] == Circuit::Topology::ROOT }.to_s
        end
      end
    end
  end
end
