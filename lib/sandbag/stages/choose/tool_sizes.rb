# frozen_string_literal: true

module Sandbag
  module Choose
    # Which size of a tool this circuit takes, where that follows from what is known of it (docs/trade.md 2.10).
    class ToolSizes
      # A wrench of the quarter-inch drive reads figures up to this, N·m. [default]
      SMALL_NM = 12.0

      # @param sheet [Circuit::Sheet]; aims [Array<Float>] figures of what the job tightens, N·m
      def initialize(sheet, aims)
        @sheet = sheet
        @aims = aims
        freeze
      end

      # @param tool [String] of tools.yml
      # @return [Hash] said [String, nil] for the list; right [Array<String>, nil] what a size may be
      def of(tool)
        case tool
        when "nipple_spanner" then nipple_spanner
        when "torque_wrench" then torque_wrench
        else {}
        end
      end

      private

      def nipple_spanner
        threads = NippleMatch.threads(@sheet)
        rows = threads.filter_map { |thread| Tables.rows("nipple_spanners").find { |row| row["thread"] == thread } }
        return {} if rows.empty? || rows.size < threads.size
        right = rows.flat_map { |row| row["spanners"] }.uniq
        sizes = right.map { |size| size.include?("/") ? "#{size} in" : "#{size} mm" }
        {said: "#{sizes.join(" or ")}, for the nipple's thread #{NippleMatch.said(threads)}", right: right}
      end

      def torque_wrench
        return {} if @aims.empty?
        low, high = @aims.minmax.map { |figure| Said.figure(figure, :torque, "g") }
        small = "; 1/4 in drive for the small figures" if @aims.min < SMALL_NM
        {said: "#{(low == high) ? low : "#{low} to #{high}"}#{small}"}
      end
    end
  end
end
