# frozen_string_literal: true

module Sandbag
  module Circuit
    # How high each end of each line stands, and where air will gather (docs/physics.md 6): a high spot is any point
    # of a path higher than both its neighbours on the way up to the reservoir.
    class Heights
      # Points within this of one another count as level, mm; nobody measures a hose run closer.
      LEVEL_MM = 5.0

      # @param sheet [Sheet]
      def initialize(sheet)
        @sheet = sheet
        @lines = sheet.parts_of("line").to_h { |part| [part["id"], sheet.values(part)] }
        freeze
      end

      def master_mm
        @sheet.value("master", "height")
      end

      # @return [Array<Hash>] line, start_mm, end_mm
      def lines
        @lines.keys.map { |id| {line: id, start_mm: start_mm(id), end_mm: end_mm(id)} }
      end

      # @return [Array<Hash>] line, height_mm, why of every place where air gathers, each once
      def high_spots
        @sheet.far_ends.flat_map { |part| peaks(@sheet.topology.path(part["id"])) }.uniq
      end

      # @param id [String] of a line
      # @return [Float] height of its lower end, mm
      def end_mm(id)
        @lines.fetch(id)["end_height"].value
      end

      private

      def start_mm(id)
        from = @sheet.part(id)["from"]
        (from == Topology::ROOT) ? master_mm : end_mm(from)
      end

      # @param path [Array<String>] lines from the master outwards
      def peaks(path)
        points =
          [[nil, master_mm]] + path.flat_map { |id| [[id, @lines.fetch(id)["high_spot"].value], [id, end_mm(id)]] }
        points = points.select { |_, height| height }
        points.each_cons(3).filter_map do |before, here, after|
          next unless here[1] > before[1] + LEVEL_MM && here[1] > after[1] + LEVEL_MM
          {line: here[0], height_mm: here[1], why: "higher than the line on both sides: air gathers here"}
        end
      end
    end
  end
end
