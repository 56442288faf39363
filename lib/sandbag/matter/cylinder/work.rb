# frozen_string_literal: true

module Sandbag
  module Cylinder
    # What a job takes apart on its circuit, in order: the construction's own steps with the shared groups that this
    # circuit has (docs/trade.md 3.2 to 3.4).
    class Work
      attr_reader :construction, :cylinder, :steps

      # @param sheet [Circuit::Sheet] with what the job chose
      # @param route [Job::Route, nil]
      # @param switch [Boolean] a switch sits on the unit
      # @param at [Array<Circuit::Place>] far ends that the job works on; none while it is not said which
      # @param counts [Hash{String => Integer}] part => how many were seen, see Setup.counts
      def initialize(sheet, route, switch: true, at: [], counts: {})
        @sheet = sheet
        @route = route
        @switch = switch
        @counts = counts
        @cylinder = OnBench.of(sheet, route, at) if route&.part
        @construction = @cylinder&.construction
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
        order.flat_map { |id| steps_of(id) }
      end

      # A unit that comes off whole has its joint opened while its bolts still hold it.
      def order
        bolts = construction.unbolts unless strips?
        return construction.order unless bolts
        rest = construction.order - ["joint"]
        rest.insert(rest.index(bolts), "joint")
      end

      def steps_of(id)
        group = Construction.groups.find { |each| each.id == id }
        return has?(id) ? group.order.map { |step| step_of(group, group.step(step), fits: true) } : [] if group
        action = Tables.find("strip_actions", id)
        return (strips? || !action["apart"]) ? [Step.new(action)] : [] if action
        fits = !strips? || construction.removal.include?(id)
        wanted?(id) ? [step_of(construction, construction.step(id), fits: fits)] : []
      end

      def step_of(holder, row, fits:)
        takes = row["takes"].map { |id| Part.new(holder.part(id), quantity: counted(holder, id)) }
        Step.new(row, takes: takes, fits: fits)
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
        return @route.takes.include?(id) if construction.asked.include?(id)
        strips? || construction.removal.include?(id) || @route.takes.include?(id)
      end

      # The circuit knows how many hoses meet at the master, and how many pistons and far ends there are.
      def counted(holder, id)
        return @counts[id] if @counts.key?(id)
        return @cylinder.quantity(holder.part(id)) if @route.far_end?
        outlet = Circuit::Places.of(@sheet).outlet
        {"hose_end" => outlet.hoses, "crush_washer" => outlet.washers, "olive" => outlet.olives,
         "hose_insert" => outlet.olives}[id]
      end
    end
  end
end
