# frozen_string_literal: true

module Sandbag
  module Bleed
    # Whether an entry may join a bleed as it stands.
    class Admission
      # @param bleed [Stage]
      def initialize(bleed)
        @bleed = bleed
        @count = bleed.count
        freeze
      end

      # Refuses to move fluid before machine, mechanic and tool are ready and the circuit is shut, and after a lever
      # that did not hold until that is said; a stroke the reservoir may not bear, or more millilitres than were in it;
      # a refill with the nipple open; a point the circuit does not have, and finishing one whose criteria are not met,
      # or by a method that only helps; a method that may not be used, or no longer; an answer that is none; a round
      # before the last one is through.
      def admit(entry)
        refuse_unready if Stage::MOVING.include?(entry.kind)
        check_point(entry.data["point"]) if entry.data["point"]
        case entry.kind
        when "stroke" then admit_stroke
        when "beat" then admit_beat(entry.data["beat"])
        when "run" then admit_run(entry.data)
        when "topped_up" then refuse_open("refilled") unless @count.cycle.refills_open
        when "method" then admit_method(entry.data["method"])
        when "slip" then admit_slip(entry.data["slip"])
        when "order" then admit_order(entry.data["points"])
        when "check" then admit_check(entry.data)
        when "jar" then admit_jar(entry.data["ml"])
        when "tool_tight" then admit_tool_tight(entry.data)
        when "tool_report" then admit_report
        when "round" then admit_round
        when "rung" then admit_rung(entry.data["rung"])
        when "point_done" then admit_done(entry.data["point"])
        end
      end

      private

      def refuse_unready
        first = @bleed.unready || @bleed.order_due || @bleed.method_due || @bleed.checks.before_fluid
        raise Refusal.at("kind", "not yet: #{first}", "that first") if first
        refuse_barred("kind", @count.method)
        return unless @bleed.lever_failed?
        raise Refusal.at("kind", "the lever did not hold after this bleed", "that it did not, and how")
      end

      def admit_stroke
        refuse_other_way if @count.supply.by_ml?
        refuse_spent
      end

      def refuse_other_way
        wanted = @count.supply.by_ml? ? "the mL that went through" : "strokes"
        raise Refusal.at("kind", "#{@count.method["label"]} is not counted so", wanted)
      end

      def refuse_spent
        return unless @count.reservoir.spent?
        raise Refusal.at(
          "kind",
          "#{@count.reservoir.strokes_since_top_up} strokes since the last top-up: the next may uncover the port",
          "a top-up, or that the port is uncovered"
        )
      end

      def admit_beat(beat)
        cycle = @count.cycle
        unless cycle.has?(beat)
          raise Refusal.at("data/beat", "#{@count.method["label"]} has no such step",
            [*cycle.before, *cycle.beats, *cycle.after].uniq.join(", "))
        end
        refuse_out_of_turn(cycle, beat)
        refuse_spent if cycle.phase == "cycle" && cycle.beats.include?(beat) && !@count.supply.by_ml?
      end

      # What is left out of a stroke is a slip, and counted as one; anything else comes in its order.
      def refuse_out_of_turn(cycle, beat)
        records = cycle.turn_row["records"] if beat == cycle.turn
        raise Refusal.at("data/beat", "this step is written down in another way", NAMED.fetch(records)) if records
        return if cycle.in_turn?(beat) || cycle.done.last == beat
        return if cycle.phase == "cycle" && cycle.beats.include?(beat)
        turn = cycle.turn_row
        raise Refusal.at("data/beat", "not yet: #{Wording.inside(Tables.find("bleed_beats", beat)["label"])}",
          turn ? "#{Wording.inside(turn["label"])} first" : "the next point")
      end
      NAMED = {"run" => "the mL that went through", "topped_up" => "that it was refilled"}.freeze

      # What is poured in while it runs draws nothing down.
      def admit_run(data)
        refuse_other_way unless @count.supply.by_ml?
        left = @count.reservoir.left_ml
        return admit_out(data) if data["poured"] || data["ml"] <= left + Airway::PointCount::DROP_ML
        raise Refusal.at("data/ml", "#{Said.ml(data["ml"])} is more than was there: #{Said.ml(left)} to the port",
          "a top-up first; that it was poured in while it ran; or that the port was uncovered")
      end

      # No more comes out of a circuit than was pushed into it and stood in it.
      def admit_out(data)
        return unless data.key?("out")
        unless @count.method["both"]
          raise Refusal.at("data/out", "#{@count.method["label"]} has no second syringe", "ml alone")
        end
        return if data["out"] <= data["ml"] + @bleed.plan.circuit_ml
        raise Refusal.at("data/out", "more came out than went in and stood in the circuit",
          "up to #{Said.ml(data["ml"] + @bleed.plan.circuit_ml)}")
      end

      def admit_slip(id)
        known = @bleed.slips.map { |row| row["id"] }
        raise Refusal.at("data/slip", "that cannot happen by this method", known.join(", ")) unless known.include?(id)
      end

      def refuse_open(what)
        return unless @count.cycle.open?
        raise Refusal.at("kind", "the nipple is open: nothing is #{what} before it is shut", "the nipple shut first")
      end

      def admit_method(id)
        refuse_open("changed")
        refuse_barred("data/method", Tables.find("bleed_methods", id))
      end

      # What may be used is judged as things stand now: ABS may have been found, or the line opened, since it was
      # chosen.
      def refuse_barred(field, method)
        choose = @bleed.job.choose
        return if choose.bleed_methods.include?(method)
        raise Refusal.at(field, "#{Wording.inside(method["label"])}: #{choose.method_table.barred(method)}",
          choose.bleed_methods.map { |row| row["id"] }.join(", "))
      end

      # The same points, each once. Fluid that has moved went the other way round.
      def admit_order(points)
        unless @bleed.linked?
          raise Refusal.at("kind", "no order is wanted here", "linked brakes, under Ask")
        end
        raise Refusal.at("kind", "fluid has moved already", "the strokes taken back first") if @count.begun?
        return if points.sort == @count.points.keys.sort
        raise Refusal.at("data/points", "that is not every point once", @count.points.keys.join(", "))
      end

      def admit_check(data)
        check = @bleed.checks.all.find { |each| each.id == data["check"] }
        unless check
          raise Refusal.at("data/check", "that is not asked here", @bleed.checks.all.map(&:id).join(", "))
        end
        check.refuse_unknown(data["value"])
        return if check.row["at"] == "start" || @count.finished?
        raise Refusal.at("data/check", "that is asked when every point ran clean", "the points first")
      end

      def admit_jar(ml)
        refuse_other_way if @count.supply.by_ml?
        wrong = @count.jar.objection(ml, @count.total_strokes)
        return unless wrong
        raise Refusal.at("data/ml", wrong, "what the jar holds, after #{JarSum::LEAST_STROKES} strokes or more")
      end

      def admit_tool_tight(data)
        unless @bleed.checks.tight_wanted?
          raise Refusal.at("kind", "#{@count.method["label"]} has no vacuum to hold", "another way")
        end
        return if data["after"] <= data["first"]
        raise Refusal.at("data/after", "vacuum does not rise by itself", "no more than it was at first")
      end

      def admit_report
        return if @bleed.report_wanted?
        raise Refusal.at("kind", "no tool is at work here", "the machine's own tool as the bleeding method")
      end

      def admit_round
        unless @count.finished?
          raise Refusal.at("kind", "this bleed is not finished: #{@bleed.waits_for}", "every point finished first")
        end
        return unless @bleed.job.ask.rounds.back_to_ask?
        raise Refusal.at("kind", @bleed.job.ask.rounds.says, "the looks under Ask first")
      end

      def admit_rung(id)
        unless @bleed.stubborn.climbing?
          raise Refusal.at("kind", "the ladder is for a lever that did not hold", "that the lever did not hold")
        end
        possible = @bleed.stubborn.rungs.map { |row| row["id"] }
        return if possible.include?(id)
        raise Refusal.at("data/rung", "this circuit cannot do that", possible.join(", "))
      end

      def check_point(id)
        return if @count.points.key?(id)
        raise Refusal.at("data/point", "this circuit has no bleed point “#{id}”", @count.points.keys.join(", "))
      end

      # What only helps has to be followed by a method that finishes.
      def refuse_aid
        return unless @bleed.aided_last?
        raise Refusal.at("kind", "#{Wording.inside(@count.method["label"])} does not finish a bleed",
          "fluid moved by a method that does, such as hold cycle, and then finished")
      end

      def admit_done(id)
        refuse_open("finished")
        point = @count.points[id]
        return refuse_aid if point.missing.empty?
        raise Refusal.at(
          "data/point",
          "not finished: #{point.missing.join(", ")}",
          "enough strokes, the last ones clean, colour as fresh"
        )
      end
    end
  end
end
