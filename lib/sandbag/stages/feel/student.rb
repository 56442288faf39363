# frozen_string_literal: true

module Sandbag
  module Feel
    # Student's t: how far 95 % of estimates lie, in standard errors, where few readings say how large the error is.
    module Student
      # The same where the error is known.
      NORMAL = 1.96

      # @param degrees [Numeric] of freedom, at least 1
      # @return [Float]
      def self.quantile(degrees)
        rows = Tables.rows("student_t")
        return NORMAL + 2.4 / degrees if degrees > rows.size
        rows[degrees.floor.clamp(1, rows.size) - 1]["quantile"]
      end
    end
  end
end
