# frozen_string_literal: true

module Sandbag
  module Circuit
    # Which part hangs on which: a tree from the master through lines to calipers or a slave.
    class Topology
      ROOT = "master"

      # @param parts [Array<Hash>] id, part, from
      def initialize(parts)
        @lines = parts.select { |part| part["part"] == "line" }
        @ends = parts.select { |part| %w[caliper slave].include?(part["part"]) }
        @feeds = (@lines + @ends).to_h { |part| [part["id"], part["from"]] }.freeze
        freeze
      end

      # Refuses a part fed by nothing known, a loop, and a line that ends nowhere.
      def check
        @feeds.each { |id, from| check_feed(id, from) }
        @feeds.each_key { |id| path(id) }
        loose = @lines.map { |line| line["id"] } - @feeds.values
        return if loose.empty?
        raise Refusal.at(
          "parts/#{loose.first}/from",
          "#{loose.first} ends nowhere",
          "a caliper, a slave or a further line fed by it"
        )
      end

      # @return [Array<String>] ids of the lines from the master to a part, in the order fluid takes
      def path(id)
        seen = []
        from = @feeds[id]
        until from == ROOT
          if seen.include?(from)
            raise Refusal.at(
              "parts/#{id}/from",
              "the lines of #{id} run in a loop",
              "lines that lead back to the master"
            )
          end
          seen.unshift(from)
          from = @feeds[from]
        end
        seen
      end

      private

      def check_feed(id, from)
        line_ids = @lines.map { |line| line["id"] }
        return if line_ids.include?(from) || (from == ROOT && line_ids.include?(id))
        raise Refusal.at(
          "parts/#{id}/from",
          "#{id} is fed by “#{from}”, which is no line of this circuit",
          ([ROOT] + line_ids).join(", ")
        )
      end
    end
  end
end
