# frozen_string_literal: true

module Sandbag
  module Fit
    # The torque list: every fastener this job loosened or fitted, once each, in the order of tightening, with the
    # figure of the service information or else the trade's default, and what was read.
    class Torques
      # @param scope [Scope]; entries [Job::Entries] of fit
      # @param places [Hash{String => Array<Circuit::Place>}] kind of place => those whose fasteners are loosened:
      #   joints this job opens, nipples opened for the bleed, far ends that come off
      # @param removed [#call] see Strip::Stage#removed?
      # @param bled_at [Integer, nil] place of the last stroke: what is tightened after the bleed is tightened again
      #   after another one; nil where there is none
      def initialize(scope, entries, places:, removed:, bled_at: nil)
        @scope = scope
        @table = Fastening::TorqueTable.of(scope.sheet)
        @entries = entries
        @places = places
        @removed = removed
        @bled_at = bled_at
      end

      # @return [Array<TorqueLine>]
      def lines
        @lines ||= loosened.map { |row, id, place| line_of(row, id, place) }.freeze
      end

      # @return [Array<Float>] N·m, of those whose figure is known
      def aims
        loosened.filter_map { |_row, id| @table.range(id)&.aim }
      end

      def line(id)
        lines.find { |line| line.id == id }
      end

      # @param line [TorqueLine] that asks for something
      # @return [Array(Hash, String)] the part and field where the answer is kept
      def asked_at(line)
        @table.asked_at(line.id)
      end

      # @return [Hash, nil] scale and name of the wrench in hand
      def wrench
        @entries.said("wrench")
      end

      # @return [Array<TorqueLine>] what may have been loosened besides
      def others
        at_places(Tables.rows("fasteners").select { |row| row["apart"] && @scope.here?(row) })
          .reject { |_row, id| line(id) }.map { |row, id, place| line_of(row, id, place) }
      end

      # @return [Array<TorqueLine>] tightened without a wrench
      def estimates
        lines.select(&:estimated?)
      end

      # @return [Array<String>] what is still to do before the bleed, or after it
      def due(phase)
        lines.select { |line| line.when == phase }.filter_map(&:due)
      end

      # Refuses a crow's foot without the length of the wrench, and the other way round.
      def self.admit_wrench(data)
        return if data.key?("arm") == data.key?("foot")
        raise Refusal.at(data.key?("arm") ? "data/foot" : "data/arm",
          "a crow's foot in line wants both lengths: the wrench's own and the foot's", "both, or neither")
      end

      # @param phase [String] before or after the bleed
      # Refuses a fastener this job does not touch, one that comes after the bleed before it, a reading without a
      # wrench or by one that is unfit, and an estimate or a driver where none is allowed.
      def admit(entry, phase)
        line = line(entry.data["fastener"]) || raise(Refusal.at("data/fastener",
          "“#{entry.data["fastener"]}” is not on the torque list", lines.map(&:id).join(", ")))
        refuse_early(line) if entry.kind != "figure" && line.when == "after" && phase == "before" && @bled_at
        case entry.kind
        when "torque" then admit_reading(line, entry.data)
        when "estimate" then admit_without_wrench(line, :turns, "no estimate here")
        when "snug" then admit_without_wrench(line, :by_driver, "not by a driver")
        when "figure" then admit_figure(entry.data)
        end
      end

      private

      def loosened
        said = @entries.values("loosened", "fastener")
        at_places(Tables.rows("fasteners").select { |row| @scope.here?(row) })
          .select { |row, id, place| out?(row, place) || said.include?(id) }
      end

      # It was taken out; or the job takes no such part out and moves what it holds.
      def out?(row, place)
        at = place.at if row["per"] == "far_end"
        return false if row["held_by"] && @removed.call(row["held_by"], at)
        taken = row["out"] && @removed.call(row["out"], at)
        taken.nil? ? @scope.moves?(*row["moves"]) : taken
      end

      # @return [Array<Array(Hash, String, Circuit::Place)>] each fastener with its id and where it is, nil where there
      #   is one of it
      def at_places(rows)
        rows.flat_map do |row|
          next [[row, row["id"], nil]] if row["per"] == "once"
          places = @places.fetch(row["per"])
          places = places.select { |place| row["joints"].include?(place.fitting) } if row["joints"]
          places.map { |place| [row, "#{row["id"]}.#{place.at}", place] }
        end
      end

      # A nipple's own name says what it is.
      def label_of(row, place)
        return row["label"] unless place
        (place.kind == "nipple") ? place.label : "#{row["label"]}: #{Wording.inside(place.label)}"
      end

      def line_of(row, id, place)
        reading = newest("torque", id, row)
        TorqueLine.new(id: id, fastener: row, label: label_of(row, place), range: @table.range(id), row: @table.row(id),
          asks: @table.asks(id), reading: reading, estimate: newest("estimate", id, row), snug: newest("snug", id, row),
          wrench: wrench_at(reading), place: place)
      end

      def newest(kind, id, row)
        since = (@bled_at && row["when"] == "after") ? @bled_at : 0
        @entries.of(kind).reverse_each.find { |entry| entry.data["fastener"] == id && entry.position > since }
      end

      def wrench_at(reading)
        reading && @entries.of("wrench").reverse_each.find { |entry| entry.position < reading.position }&.data
      end

      def admit_reading(line, data)
        refuse_unasked(line)
        raise Refusal.at("data/value", "with which wrench?", "the full scale of the wrench first") unless wrench
        unfit = line.unfit_with(wrench)
        return unless unfit
        raise Refusal.at("data/value", unfit, "a wrench with #{Said.figure(line.range.aim, :torque, "g")} in the " \
          "middle of its scale; #{Said.figure(data["value"], :torque, "g")} was typed")
      end

      # @param way [Symbol] of TorqueLine: how it is tightened then, nil where that is not allowed
      def admit_without_wrench(line, way, why)
        refuse_unasked(line)
        return if line.public_send(way)
        raise Refusal.at("data/fastener", "#{line.label}: #{why}, only a torque wrench",
          lines.select(&way).map(&:id).join(", "))
      end

      def admit_figure(data)
        return if data["to"].nil? || data["to"] >= data["from"]
        raise Refusal.at("data/to", "a range from #{data["from"]} to #{data["to"]} holds nothing",
          "the lower figure first")
      end

      def refuse_early(line)
        raise Refusal.at("data/fastener", "#{line.label}: its figure comes after the bleed",
          lines.select { |each| each.when == "before" }.map(&:id).join(", "))
      end

      def refuse_unasked(line)
        return if line.range
        raise Refusal.at("data/fastener", line.due, "that first")
      end
    end
  end
end
