# frozen_string_literal: true

module Sandbag
  module Strip
    # What a job takes apart on its circuit, in order: the construction's own steps with the shared groups that this circuit
    # has (docs/trade.md 3.2 to 3.4).
    class Work
      attr_reader :construction, :steps

      # @param sheet [Circuit::Sheet] with what the job chose
      # @param route [Job::Route, nil]
      # @param switch [Boolean] a switch sits on the unit
      def initialize(sheet, route, switch: true)
        @sheet = sheet
        @route = route
        @switch = switch
        cylinder = Choose::Cylinder.of(sheet, route) if route&.part
        @construction = cylinder&.construction
        @steps = (@construction ? sequence : []).freeze
        freeze
      end

      # The cylinder itself comes apart.
      def strips?
        !construction.nil? && @route.apart?
      end

      def any?
        steps.any?
      end

      # @return [Array<Part>] everything that comes out, in the order it comes out
      def parts
        steps.flat_map(&:takes)
      end

      def part(id)
        parts.find { |part| part.id == id }
      end

      private

      def sequence
        construction.order.flat_map { |id| steps_of(id) }
      end

      def steps_of(id)
        group = Construction.groups.find { |each| each.id == id }
        return has?(id) ? group.order.map { |step| step_of(group, group.step(step)) } : [] if group
        action = Knowledge.find("strip_actions", id)
        return [Step.new(action)] if action
        wanted?(id) ? [step_of(construction, construction.step(id))] : []
      end

      def step_of(holder, row)
        Step.new(row, takes: row["takes"].map { |id| Part.new(holder.part(id), quantity: counted(id)) })
      end

      # Groups that this circuit has.
      def has?(group)
        case group
        when "feed" then @sheet.value("reservoir", "mount") == "remote"
        when "switch" then @switch
        else true
        end
      end

      # A unit that only comes off keeps what is inside it.
      def wanted?(id)
        strips? || construction.removal.include?(id)
      end

      def counted(id)
        hoses = root_joint.hoses
        {"hose_end" => hoses, "crush_washer" => root_joint.washers, "olive" => hoses, "hose_insert" => hoses}[id] unless construction.id == "clutch_slave_pushrod"
      end

      def root_joint
        Circuit::Fittings.new(@sheet).joints.find { |joint| joint.at == Circuit::Topology::ROOT }
      end
    end
  end
end
