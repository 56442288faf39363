# frozen_string_literal: true

module Sandbag
  module Fastening
    # What any fastener of a circuit is tightened to: the circuit's own service figure, or else the trade's default by
    # what is known of the thing. A fastener is named with the joint or point it is at: clamp, banjo.master,
    # nipple.caliper.
    class TorqueTable
      # @param sheet [Circuit::Sheet]
      def initialize(sheet)
        @sheet = sheet
        freeze
      end

      # @return [TorqueRange, nil] nil where something has to be known first, or there is no default
      def range(id)
        figures = figures(id)
        return TorqueRange.service(figures) if figures
        row = row(id)
        row && TorqueRange.default(row)
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
        at = place(id)
        part = case key
        when "bar" then @sheet.parts_of("lever").first
        when "mount_thread" then @sheet.parts_of("master").first
        when "nipple_thread" then Places.far_end(@sheet, at)
        else Places.joint(@sheet, at)
        end
        [part, key]
      end

      private

      def fastener(id)
        Tables.find("fasteners", id.split(".", 2).first)
      end

      def place(id)
        id.split(".", 2)[1]
      end

      def figures(id)
        part, field = Facts.figure_place(@sheet, id)
        part && @sheet.values(@sheet.part(part))[field]&.value
      end

      # @return [Array(Hash, String), nil] row of torques.yml, or what it turns on and nobody has said
      def default(id)
        fastener(id)["defaults"].each do |rule|
          facts = (rule["when"] || {}).to_h { |key, values| [key, [fact(key, place(id)), values]] }
          next if facts.any? { |_, (value, values)| value != "unknown" && !values.include?(value) }
          asked = facts.find { |_, (value, _)| value == "unknown" }&.first
          return asked ? [nil, asked] : [Tables.find("torques", rule["torque"]), nil]
        end
        nil
      end

      # @return [String] what is so; unknown where nobody has said
      def fact(key, at)
        value = case key
        when "safety" then @sheet.kind.safety
        when "bar" then @sheet.value("lever", "bar")
        when "mount_thread" then @sheet.value("master", "mount_thread")
        when "nipple_thread" then @sheet.values(Places.far_end(@sheet, at))["nipple_thread"].value
        when "bolt_material" then @sheet.values(Places.joint(@sheet, at))["bolt_material"].value
        else @sheet.values(Places.line(@sheet, at))[key].value
        end
        value.is_a?(Float) ? value.round.to_s : value
      end
    end
  end
end
