# frozen_string_literal: true

module Sandbag
  module Choose
    # Whether an entry may join what was chosen so far.
    class Admission
      # @param choose [Stage]
      def initialize(choose)
        @choose = choose
        freeze
      end

      # Refuses a fluid of another family or a lower class, a class on the cap of another family than Ask has, DOT 5
      # or 5.1 that Ask has not heard of yet, a cylinder that is rejected or changes the lever by more
      # than a rider should find out by himself without his agreement written down, a method the circuit does not
      # suit, a construction of what is no cylinder, a gearing where no shaft is geared, and what is not on the pull
      # list. What the shelf has to say is asked of Supplies.
      def admit(entry)
        case entry.kind
        when "fluid" then admit_fluid(entry.data)
        when "cylinder" then admit_cylinder(entry.data)
        when "method" then admit_method(entry.data)
        when "far_end" then refuse_far_end
        when "size" then admit_size(entry.data)
        when "water", "boils" then admit_water(entry.data.keys.first)
        when "pulled" then admit_pulled(entry.data)
        when "gearing" then admit_gearing
        when "hose" then admit_hose(entry.data["line"])
        when "no_kit" then admit_no_kit(entry.data["line"])
        when "clash_solved" then admit_solved(entry.data["clash"])
        end
      end

      private

      def admit_solved(id)
        clash = @choose.clash
        return if clash && clash["id"] == id
        raise Refusal.at("data/clash", "no such clash was found at the dry trial", clash ? clash["id"] : "none")
      end

      def admit_gearing
        return if @choose.gearing.here?
        raise Refusal.at("kind", "the disc of this circuit sits on no geared shaft", "nothing")
      end

      def admit_hose(id)
        lines = @choose.new_hoses.map { |line| line["id"] }
        return if lines.include?(id)
        raise Refusal.at("data/line", "“#{id}” does not go on new here", lines.empty? ? "none" : lines.join(", "))
      end

      def admit_no_kit(id)
        kits = @choose.pull_list.lines.select { |line| line.kind == "kit" && !@choose.on_bench?(line) }
        return if kits.any? { |line| line.id == id }
        raise Refusal.at("data/line", "no kit is asked for there", kits.any? ? kits.map(&:id).join(", ") : "none")
      end

      def admit_fluid(data)
        refuse_other_cap(data["stamped"])
        refusal = FluidChoice.refusal(data["fluid"], data["stamped"], abs: @choose.sheet.abs?)
        return unless refusal
        raise Refusal.at("data/fluid", refusal,
          FluidChoice.allowed(data["stamped"]).map { |fluid| fluid["label"] }.join(", "))
      end

      # Two numbers that look alike on a cap are read twice: under Ask and here.
      ALIKE = %w[dot5 dot51].freeze

      def refuse_other_cap(stamped)
        cap = @choose.job.ask.intake.value("fluid_marked")
        known, read = [cap, stamped].map { |id| Tables.find("fluids", id) }
        if known && known["family"] != read["family"]
          raise Refusal.at("data/stamped", "under Ask the cap says #{known["label"]}, here #{read["label"]}",
            "the cap read again, and the answer that was wrong corrected")
        end
        return unless known.nil? && ALIKE.include?(stamped)
        raise Refusal.at("data/stamped",
          "DOT 5 is silicone and DOT 5.1 is glycol; each ruins the other's seals, so the cap is read twice",
          "the class on the cap answered under Ask first, then again here")
      end

      def admit_cylinder(data)
        size = data.values_at("bore", "push_offset")
        row = Sizing.new(@choose.sizing_sheet, sizes: [size]).row_of(*size)
        if row[:rejected].any? && !row[:fitted]
          raise Refusal.at("data/bore", row[:rejected].join("; "), "a cylinder that is not rejected")
        end
        return unless row[:agreement_needed] && data["agreed"].nil?
        raise Refusal.at("data/agreed", "the #{@choose.sheet.kind.control["noun"]} changes by over a quarter",
          "the rider's agreement, in words")
      end

      def admit_method(data)
        if @choose.job.bleed.count.begun?
          raise Refusal.at("kind", "fluid has moved by another way already", "a change of method under Bleed")
        end
        method = Tables.find("bleed_methods", data["method"])
        suited = @choose.bleed_methods
        return if suited.include?(method)
        raise Refusal.at("data/method", "#{Wording.inside(method["label"])} does not suit this circuit",
          suited.map { |row| row["id"] }.join(", "))
      end

      # Jobs on record have it.
      def refuse_far_end
        raise Refusal.at("kind", "where the job works is named under Ask", "the entry “at” of Ask")
      end

      def no_far_end(id, ends)
        raise Refusal.at("data/part", "this circuit has no far end “#{id}”", ends.map { |part| part["id"] }.join(", "))
      end

      # Refuses a size the part cannot have, one with which the cylinder that is on cannot be used, and one on a job
      # that renews nothing there.
      def admit_size(data)
        route = @choose.job.route
        unless route&.far_end? && route.size_first?
          raise Refusal.at("data/size", "this job puts nothing new on there", "a job that renews it")
        end
        sheet = @choose.sheet
        part = sheet.far_ends.find { |each| each["id"] == data["part"] } || no_far_end(data["part"], sheet.far_ends)
        changed = Refusal.within("data/size") { ChosenSheet.resized(sheet, part, data["size"]) }
        row =
          Sizing.new(changed, sizes: []).row_of(changed.value("master", "bore"), changed.value("lever", "push_offset"))
        return if row[:rejected].empty?
        raise Refusal.at("data/size", "with the cylinder that is on: #{row[:rejected].join("; ")}",
          "a size that is not rejected, or another cylinder first")
      end

      def admit_water(field)
        family = @choose.family
        return if family == "glycol"
        raise Refusal.at("data/#{field}", "a water reading does not apply to #{family || "a fluid that is not known"}",
          "glycol fluid; others are looked at for free water")
      end

      def admit_pulled(data)
        list = @choose.pull_list
        line = list.find(data["line"]) ||
          raise(Refusal.at("data/line", "“#{data["line"]}” is not on the pull list", list.lines.map(&:id).join(", ")))
        if @choose.on_bench?(line)
          raise Refusal.at("data/line", "#{line.label} is on the bench already",
            "another line")
        end
        if data["construction"] && line.id != "cylinder"
          raise Refusal.at("data/construction", "#{line.label} has no construction", "of a whole cylinder only")
        end
        if data["instead"] && line.instead.nil?
          raise Refusal.at("data/instead", "the trade accepts nothing in place of #{Wording.inside(line.label)}",
            "the thing itself")
        end
        return unless line.kind == "kit" && data["item"].nil? && data["reason"].nil?
        raise Refusal.at("data/item", "which kit?",
          "one from the shelf; or, bought for this job, a reason that says how it was compared with the old parts")
      end
    end
  end
end
