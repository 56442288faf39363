# frozen_string_literal: true

module Sandbag
  module Feel
    # What may lie anywhere within a width, all of it as likely.
    module Even
      # @return [Float] its standard error, in the unit of the width
      def self.error(width)
        width / Math.sqrt(12)
      end
    end
  end
end
