# frozen_string_literal: true

module Sandbag
  module Fit
    # On the machine right: tried dry, put back, torqued, routed, clear, level, switched. After the bleed once more:
    # lid, last figures, marks.
    class Stage < Job::Stage
      ASKS_LATER = {"bleed" => "whether fluid has moved since"}.freeze
      RESTS_ON = %w[choose strip build].freeze

      def scope
        @scope ||= Scope.new(job.sheet, job.route, switch: job.ask.switch?)
      end

      def put_back
        @put_back ||= Cylinder::PutBack.new(entries, job.strip, job.strip.done_steps.select(&:fits?),
          fresh: job.measure.fresh_parts, counted_apart: %w[crush_washer olive hose_insert])
      end

      def sequence
        @sequence ||= Sequence.new(scope, put_back, entries, bled_at: bled_at)
      end

      def torques
        @torques ||= Torques.new(scope, entries, places: loosened, removed: job.strip.method(:removed?),
          bled_at: bled_at)
      end

      def washers
        @washers ||= Washers.new(entries, job.choose.joints, job.strip.tray)
      end

      def hoses
        @hoses ||= Hoses.new(scope, entries, lines: laid)
      end

      def free_play
        @free_play ||= FreePlay.new(scope, entries, bled_at: bled_at)
      end

      def checks
        @checks ||= Checks.new(scope, entries, bled_at: bled_at)
      end

      def reservoir
        @reservoir ||= Reservoir.new(scope, entries, fluid_ml: job.sheet.value("reservoir", "usable"))
      end

      def electrics
        @electrics ||= Electrics.new(scope, entries, switch: job.ask.switch?, bled_at: bled_at)
      end

      # @return [Array<Float>] figures of what the whole job will tighten, N·m, where they are known
      def planned_torques
        Torques.new(scope, entries, places: loosened, removed: job.strip.method(:planned?)).aims
      end

      # Something is put back, set or proved.
      def here?
        scope.moves.any?
      end

      # There is a bleed between putting on and the last figures.
      def bleeds?
        !!job.route&.bleeds?
      end

      # @return [String] before the bleed, or after it
      def phase
        (bleeds? && job.bleed.done? && due("before").empty?) ? "after" : "before"
      end

      # Nothing is left to do before fluid moves.
      def enough?
        unready.nil? && due("before").empty? && tray_due.nil?
      end

      def done?
        enough? && (!bleeds? || !job.bleed.done? || due("after").empty?)
      end

      # @return [Array<String>] everything that is still to do in a phase, in the order it is done
      def due(phase)
        @due ||= {}
        @due[phase] ||= open_in(phase).freeze
      end

      def waits_for
        return if done?
        unready || clash_said || due(phase).first || tray_due || due("after").first
      end

      def unresolved
        return clash_said if clash_said
        wrong = torques.lines.find { |line| %w[under over].include?(line.verdict) }
        return wrong.due if wrong
        failed = checks.all.find { |check| check.pass == false }
        failed&.due
      end

      # @return [Hash, nil] row of clashes.yml that is not settled under Choose
      def clash
        found = sequence.clash
        return if found.nil? || job.choose.solved?(found)
        Tables.find("clashes", found.data["clash"])
      end

      # @param proof [String] what a gate of gates.yml asks to be proved
      # @return [Boolean] this job proves it
      def covers?(proof)
        case proof
        when "torques" then torques.lines.any?
        when "free_play" then free_play.wanted?
        when "switch" then electrics.wanted? || checks.of("switch").any?
        else checks.of(proof).any?
        end
      end

      # @return [Array<String>] why a proof does not stand
      def open(proof)
        case proof
        when "torques" then %w[before after].flat_map { |phase| torques.due(phase) }
        when "free_play" then %w[before after].flat_map { |phase| free_play.due(phase) }
        when "switch"
          %w[before after].flat_map { |phase| electrics.due(phase) } + checks.of("switch").filter_map(&:due)
        when "clear" then checks.of("clear").filter_map(&:due) + reservoir.due("before") + hoses.due("before")
        else checks.of(proof).filter_map(&:due)
        end
      end

      # Entries that say what is known, not what was done: taken at any time.
      KNOWN = %w[fact figure wrench loosened clash].freeze

      # @return [Sequence::Step, nil] the next one; marks are painted once every figure is read
      def step
        found = sequence.step(phase)
        found unless found&.row&.fetch("after_torque", false) && torques.due(phase).any?
      end

      # @return [String, nil] what the tray still holds
      def tray_due
        put_back.reckoning.says if put_back.all_back? && !put_back.reckoning.zero?
      end

      def clash_said
        clash && "#{Wording.inside(clash["label"])}: it clashed at the dry trial; settled under Choose"
      end

      private

      # @return [Integer, nil] place of the last stroke; nil where there is no bleed
      def bled_at
        @bled_at ||= (job.bleed.last_disturbed.to_i if bleeds?)
      end

      def open_in(phase)
        rooms = [sequence, hoses, washers, torques, free_play, checks, reservoir, electrics]
        return rooms.flat_map { |room| room.due(phase) } if bleeds? || phase == "after"
        %w[before after].flat_map { |each| rooms.flat_map { |room| room.due(each) } }
      end

      # @return [Hash{String => Array<Circuit::Place>}] see Torques
      def loosened
        places = job.choose.places
        {"joint" => job.choose.joints, "nipple" => bleeds? ? places.of_kind("nipple") : [],
         "far_end" => far_ends(places)}
      end

      # Those that the job names; all, where it renews the rubber of all.
      def far_ends(places)
        named = job.ask.where.at.select { |place| place.kind == "far_end" }
        named.any? ? named : places.of_kind("far_end")
      end

      # Hoses that are renewed or cut, and those that hang on a new cylinder.
      def laid
        return job.choose.laid_hoses if scope.moves?("hose", "ends")
        (job.route&.renews?("cylinder") && scope.moves?("unit")) ? job.choose.places.outlets.flat_map(&:lines) : []
      end
    end
  end
end
