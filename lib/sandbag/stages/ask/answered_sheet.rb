# frozen_string_literal: true

module Sandbag
  module Ask
    # The circuit as the machine's record has it, with what the intake says of ABS and of its fluid: what was answered
    # once is known to every stage.
    module AnsweredSheet
      # Question of the intake => field of the fluid.
      FLUID = {"fluid_marked" => "stamped", "fluid_found" => "found"}.freeze
      UNKNOWN = "unknown"

      # @param sheet [Circuit::Sheet] as the record has it; intake [Intake]
      # @return [Circuit::Sheet]
      def self.of(sheet, intake)
        FLUID.reduce(with_abs(sheet, intake)) do |known, (question, field)|
          said = intake.value(question)
          next known if [nil, UNKNOWN, known.value("fluid", field)].include?(said)
          known.set("fluid", field, said, "measured")
        end
      end

      def self.with_abs(sheet, intake)
        return sheet if sheet.clutch? || sheet.value("vehicle", "abs") == intake.abs
        sheet.set("vehicle", "abs", intake.abs, "measured")
      end
      private_class_method :with_abs
    end
  end
end
