# frozen_string_literal: true

module Sandbag
  module Cylinder
    # What a job takes apart on its circuit, in order: each unit's own steps with the shared groups that this circuit
    # has (docs/trade.md 3.2 to 3.4). The reservoir is emptied once, after whatever needs the lever.
    class Work
      DRAIN = "drain"

      attr_reader :units, :steps

      # @param sheet [Circuit::Sheet] with what the job chose
      # @param route [Job::Route, nil]
      # @param switch [Boolean] a switch sits on the unit
      # @param at [Array<Circuit::Place>] far ends that the job works on; none while it is not said which
      # @param counts [Hash{String => Integer}] part => how many were seen, see Setup.counts
      # @return [Work] made once for each sheet
      def self.of(sheet, route, switch: true, at: [], counts: {})
        sheet.made([:work, route, switch, at, counts]) { new(sheet, route, switch: switch, at: at, counts: counts) }
      end

      # See Work.of.
      def initialize(sheet, route, switch:, at:, counts:)
        @sheet = sheet
        @route = route
        @switch = switch
        @counts = counts
        @units = (route&.part ? OnBench.all(sheet, route, at) : []).freeze
        @steps = sequence.freeze
        freeze
      end

      # A unit comes apart.
      def strips?
        apart.any?
      end

      # @return [Array<OnBench>] units that come apart
      def apart
        units.select(&:apart)
      end

      def any?
        steps.any?
      end

      # @param at [String, nil] see OnBench#at
      # @return [OnBench, nil]
      def unit(at)
        units.find { |unit| unit.at == at }
      end

      # @return [Array<Part>] everything that comes out, in the order it comes out
      def parts
        steps.flat_map(&:takes)
      end

      def part(id)
        parts.find { |part| part.id == id }
      end

      private

      # Far ends are started by the lever before the master's lid comes off; the master comes off before they come
      # apart.
      def sequence
        of_unit = units.to_h { |unit| [unit, order(unit).flat_map { |id| steps_of(unit, id) }] }
        return of_unit.values.flatten if units.size < 2
        heads = of_unit.transform_values { |steps| steps.take_while { |step| step.plain != DRAIN } }
        drain = of_unit.values.flatten.find { |step| step.plain == DRAIN }
        tails = of_unit.to_h { |unit, steps| [unit, (steps - heads[unit]).reject { |step| step.plain == DRAIN }] }
        far_first = units.partition { |unit| unit.part != "master" }.flatten
        far_first.flat_map { |unit| heads[unit] } + [drain].compact + units.flat_map { |unit| tails[unit] }
      end

      # A unit that comes off whole has its joint opened while its bolts still hold it.
      def order(unit)
        construction = unit.construction
        bolts = construction.unbolts unless unit.apart
        return construction.order unless bolts
        rest = construction.order - ["joint"]
        rest.insert(rest.index(bolts), "joint")
      end

      def steps_of(unit, id)
        return [] unless @route.leads?(id)
        group = Construction.groups.find { |each| each.id == id }
        return has?(id) ? group.order.map { |step| step_of(unit, group, group.step(step), fits: true) } : [] if group
        action = Tables.find("strip_actions", id)
        return (unit.apart || !action["apart"]) ? [action_of(unit, action)] : [] if action
        fits = !unit.apart || unit.construction.removal.include?(id)
        wanted?(unit, id) ? [step_of(unit, unit.construction, unit.construction.step(id), fits: fits)] : []
      end

      # Done once for all units.
      def action_of(unit, action)
        Step.new(action, unit: ((action["id"] == DRAIN) ? nil : unit))
      end

      def step_of(unit, holder, row, fits:)
        takes = row["takes"].map { |id| Part.new(holder.part(id), unit: unit, quantity: counted(unit, holder, id)) }
        Step.new(row, unit: unit, takes: takes, fits: fits)
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
      def wanted?(unit, id)
        return @route.takes.include?(id) if unit.construction.asked.include?(id)
        unit.apart || unit.construction.removal.include?(id) || @route.takes.include?(id)
      end

      # The circuit knows how many hoses meet at the master, and how many pistons a caliper has.
      def counted(unit, holder, id)
        return unit.quantity(holder.part(id)) unless unit.part == "master"
        return @counts[id] if @counts.key?(id)
        outlet = Circuit::Places.of(@sheet).outlet
        {"hose_end" => outlet.hoses, "crush_washer" => outlet.washers, "olive" => outlet.olives,
         "hose_insert" => outlet.olives}[id]
      end
    end
  end
end
