# frozen_string_literal: true

module Sandbag
  module Choose
    # The circuit with what a job chose for it: fluid, sizes, hoses, cylinder, and what was read of its fasteners and
    # its return spring.
    class ChosenSheet
      # @attr bare [Circuit::Sheet] before anything was chosen: the circuit as it is, or the one that an added cylinder
      #   makes, with the gearing that was counted; stripped [Circuit::Sheet] with what was chosen, on the unit that is
      #   taken off; sheet [Circuit::Sheet] on the unit that goes on; unfit [Array<String>] what was entered and does
      #   not fit the circuit any more, since its record was corrected: it counts no more
      attr_reader :bare, :stripped, :sheet, :unfit

      # @param job [Job::State]; entries [Job::Entries] of choose
      def initialize(job, entries)
        @job = job
        @route = job.ask.route
        @entries = entries
        @unfit = []
        @bare = Gearing.new(job.ask.sheet, entries)
          .apply(@route&.adds ? Circuit::AddedHand.sheet(job.ask.sheet, @route.adds) : job.ask.sheet)
        @stripped = with_size(with_hoses(sized(with_fluid(bare))))
        fitted = OtherUnit.on(stripped, new_construction)
        @sheet = Fastening::Facts.apply(with_preload(fitted), job.journal.of("fit"))
        @unfit.freeze
        freeze
      end

      # @param part [Hash] a far end; size [String] as it was typed
      # @return [Circuit::Sheet] with that size at that end
      def self.resized(sheet, part, size)
        sheet.change(part["id"], (part["part"] == "caliper") ? "pistons" : "bore", size, "part_marking")
      end

      private

      # Sizes of far ends that the job chose, part by part.
      def sized(sheet)
        by_part(sheet, "size", "part") { |now, part, data| ChosenSheet.resized(now, part, data["size"]) }
      end

      # Lengths that new hoses were ordered by, hose by hose.
      def with_hoses(sheet)
        return sheet unless @route&.renews?("hoses")
        by_part(sheet, "hose", "line") do |now, part, data|
          now.change(part["id"], "length", data["length"], "measured")
        end
      end

      # @yieldparam now [Circuit::Sheet]; @yieldparam part [Hash]; @yieldparam data [Hash] of the entry
      # @yieldreturn [Circuit::Sheet]
      def by_part(sheet, kind, name)
        @entries.of(kind).reduce(sheet) do |now, entry|
          part = now.part(entry.data[name])
          part ? fitting(now) { yield now, part, entry.data } : now
        end
      end

      def with_fluid(sheet)
        fluid = @entries.said("fluid")
        fluid ? sheet.set("fluid", "stamped", fluid["stamped"], "part_marking") : sheet
      end

      def with_size(sheet)
        cylinder = @entries.said("cylinder")
        return sheet unless cylinder
        sheet.set("master", "bore", cylinder["bore"], "part_marking")
          .set("lever", "push_offset", cylinder["push_offset"], "part_marking")
      end

      # @return [String, nil] how the cylinder is made that was brought to the bench
      def new_construction
        entry = @entries.of("pulled").reverse_each.find { |each| each.data["line"] == "cylinder" }
        entry.data["construction"] if entry && @route&.renews?("cylinder")
      end

      # The return spring, as the pull at which the piston first moves has it (docs/physics.md 1).
      def with_preload(sheet)
        pull = @job.journal.of("feel").said("preload")
        return sheet unless pull
        preload_n = Circuit::Assembly.build(sheet).lever.gain * pull["force"]
        fitting(sheet) { sheet.set("master", "preload", preload_n.round(2), "measured") }
      end

      # @yieldreturn [Circuit::Sheet]
      # @return [Circuit::Sheet] as it is, where what was entered does not fit it any more
      def fitting(sheet)
        yield
      rescue Refusal => refusal
        @unfit.concat(refusal.problems.map(&:message))
        sheet
      end
    end
  end
end
