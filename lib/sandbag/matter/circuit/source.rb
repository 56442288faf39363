# frozen_string_literal: true

module Sandbag
  module Circuit
    # Where a value came from, in order of authority (docs/trade.md 0). `default` is what stands until something is
    # entered.
    module Source
      ENTERED = %w[service_info part_marking measured shop_setting estimate].freeze
      DEFAULT = "default"
      COMPUTED = "computed"
    end
  end
end
