# frozen_string_literal: true

module Sandbag
  module Fastening
    # What any fastener of a circuit is tightened to: the circuit's own service figure, or else the trade's default by
    # what is known of the thing. A fastener is named with the joint or point it is at: clamp, banjo.master,
    # nipple.caliper.
    class TorqueTable
      # @param sheet [Circuit::Sheet]
      # @return [TorqueTable] made once for each sheet
      def self.of(sheet)
        sheet.made(:torque_table) { new(sheet) }
      end

      # @param sheet [Circuit::Sheet]
      def initialize(sheet)
        @sheet = sheet
        @defaults = {}
        @ranges = {}
        freeze
      end

      # @return [TorqueRange, nil] nil where something has to be known first, or there is no default
      def range(id)
        @ranges.fetch(id) { @ranges[id] = range_of(id) }
      end

      # @return [Hash, nil] row of torques.yml
      def row(id)
        default(id)&.first
      end

      # @return [String, nil] what has to be known before a default can be named
      def asks(id)
        default(id)&.last unless figures(id)
      end

      # @return [Array(Hash, String)] part and field where the answer to that is kept
      def asked_at(id)
        key = asks(id)
        [holder(key, id), key]
      end

      private

      def range_of(id)
        figures = figures(id)
        return TorqueRange.service(figures) if figures
        row = row(id)
        row && TorqueRange.default(row)
      end

      def fastener(id)
        Tables.find("fasteners", id.split(".", 2).first)
      end

      # @return [Circuit::Place, nil] the one that a fastener is named by
      def place(id)
        at = id.split(".", 2)[1]
        at && Circuit::Places.of(@sheet).find_id("#{fastener(id)["per"]}.#{at}")
      end

      def figures(id)
        part, field = Facts.figure_place(@sheet, id)
        part && @sheet.values(@sheet.part(part))[field]&.value
      end

      # @return [Array(Hash, String), nil] row of torques.yml, or what it turns on and nobody has said
      def default(id)
        @defaults.fetch(id) { @defaults[id] = found(id) }
      end

      def found(id)
        fastener(id)["defaults"].each do |rule|
          asked = nil
          suits = (rule["when"] || {}).all? do |key, wanted|
            value = fact(key, id)
            asked ||= key if value == "unknown"
            value == "unknown" || wanted.include?(value)
          end
          return asked ? [nil, asked] : [Tables.find("torques", rule["torque"]), nil] if suits
        end
        nil
      end

      # @return [String] what is so; unknown where it is not known
      def fact(key, id)
        return @sheet.kind.safety if key == "safety"
        value = @sheet.values(holder(key, id))[key].value
        value.is_a?(Float) ? value.round.to_s : value
      end

      # Facts of the whole unit: fact => part of the circuit that it is of.
      OF_UNIT = {"bar" => "lever", "mount_thread" => "master"}.freeze

      # @return [Hash] the part whose value a fact is
      def holder(key, id)
        return @sheet.parts_of(OF_UNIT[key]).first if OF_UNIT.key?(key)
        [place(id).part, *place(id).lines].find { |part| @sheet.values(part).key?(key) }
      end
    end
  end
end
