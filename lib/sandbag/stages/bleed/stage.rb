# frozen_string_literal: true

module Sandbag
  module Bleed
    # Strokes and millilitres counted, reservoir watched, every point run clean, the last pops at the master.
    class Stage < Job::Stage
      ASKS_LATER = {"feel" => "whether the lever held after this bleed"}.freeze
      RESTS_ON = %w[ask choose strip build fit].freeze

      # Entries after which an earlier lever reading says nothing any more.
      DISTURBING = %w[stroke beat run uncovered].freeze

      # Entries that say that fluid went through.
      MOVED = %w[stroke beat run].freeze

      attr_reader :plan, :count

      def initialize(job)
        super
        @plan = Airway::Plan.new(job.sheet, opened: job.ask.opened?, order: job.choose.bleed_method["order"],
          service: service_order, reservoirs: Airway::Schools.reservoirs(job.schools))
        first = job.choose.first_method
        @count = job.counted&.on(@plan, counted, method: first) || Count.fold(@plan, counted, method: first)
      end

      # @return [Array<String>, nil] points in the order of the service information, as it was entered
      def service_order
        entries.said("order")&.fetch("points") if linked?
      end

      # The way to bleed that stands first as things are, while none was chosen and nothing has moved.
      # @return [Hash, nil] row of bleed_methods.yml; nil where it is at hand already
      def proposed
        return if count.begun? || entries.of("method").any? || job.choose.method_chosen?
        row = @proposed ||= method_table(celsius: at_hand[:celsius]).proposed
        row unless row == method_row
      end

      # @return [String, nil] what is wanted before fluid moves
      def method_due
        "the way to bleed: #{Wording.inside(proposed["label"])} is proposed" if proposed
      end

      # Linked brakes: what is bled when is the service information's to say.
      def linked?
        job.ask.intake.value("linked") == "linked"
      end

      # @return [String, nil] what is wanted before fluid moves
      def order_due
        "the order of the service information, point by point" if linked? && service_order.nil?
      end

      # @return [Hash] row of bleed_methods.yml at hand
      def method_row
        count.method
      end

      # @return [Integer, nil] journal positions of the first and the last entry that disturbed the lever: fluid that
      #   moved, or the circuit opened
      def first_disturbed
        [*DISTURBING.filter_map { |kind| entries.of(kind).first&.position }, *job.ledger.openings.first&.position].min
      end

      def last_disturbed
        [*DISTURBING.filter_map { |kind| entries.of(kind).last&.position }, *job.ledger.last_opened].max
      end

      # @return [Integer, nil] journal position of the last entry by which fluid went through
      def last_moved
        MOVED.filter_map { |kind| entries.of(kind).last&.position }.max
      end

      # The last fluid was moved by a method that only helps: another one finishes the bleed.
      def aided_last?
        moved = entries.last(*MOVED)
        return method_row["aid"] == true unless moved
        said = entries.of("method").reverse_each.find { |entry| entry.position < moved.position }
        row = said ? Tables.find("bleed_methods", said.data["method"]) : job.choose.first_method
        row["aid"] == true
      end

      # @return [Array<Hash>] rows of bleed_slips.yml that may happen by the method at hand
      def slips
        Tables.rows("bleed_slips").select { |row| method_row["slips"]&.include?(row["id"]) }
      end

      # @return [Hash{String => String}] point => what its sample showed, of bleed_samples.yml
      def samples
        entries.by("sample", "point").transform_values { |data| data["sample"] }
      end

      # @return [String, nil] of waits.yml: after a slip that wants one, until fluid moves again; or the method's own
      def wait
        slip = entries.last("slip")
        after_slip = Tables.find("bleed_slips", slip.data["slip"])["wait"] if slip && slip.position > last_moved.to_i
        after_slip || method_row["wait"]
      end

      # @return [Checks] of the method at hand
      def checks
        @checks ||= Checks.new(entries, method_row, job.sheet, followed: Airway::Schools.followed(job.schools),
          moved: last_disturbed, causes: job.ask.proposal&.fetch(:causes) || [], rises_s: method(:rises_s))
      end

      # @return [Stubborn] the ladder for air that stays
      def stubborn
        @stubborn ||= Stubborn.new(entries, job.sheet, job.choose.bleed_methods.map { |row| row["id"] })
      end

      # Every point ran clean, and so did the port at the master.
      def done?
        count.finished? && !aided_last? && checks.after_fluid.nil? && report_due.nil?
      end

      # The machine's own tool is at work; or air went past the outlet of a master with ABS, and only that tool tells
      # that it is out of the unit.
      def report_wanted?
        method_row["report"] == true ||
          (job.sheet.abs? && job.ask.findings.values("abs_state").include?("air_past_outlet"))
      end

      def report_due
        "the tool's report, with its lamp off" if report_wanted? && !checks.reported?
      end

      def waits_for
        return if done?
        first = unready || order_due || method_due || checks.before_fluid
        return first if first
        return checks.after_fluid || report_due if count.finished? && !aided_last?
        return refill_said if count.reservoir.spent?
        return "a method that finishes: #{Wording.inside(method_row["label"])} only helps" if aided_last?
        point = count.current
        point.done ? "the next point" : "#{point.label}: #{point.missing.first || "finish the point"}"
      end

      def unresolved
        count.log.restarts.last[:why] if count.log.restarts.any? && !count.finished?
      end

      # Entries that move fluid.
      MOVING = %w[stroke beat run bubbles colour].freeze

      # A whole bleed is through, and Feel says that the lever does not hold.
      def lever_failed?
        count.finished? && job.stages.key?("feel") && !round_answers_feel? &&
          (job.feel.verdict == "bleed_again" || job.feel.sunk? ||
            job.feel.tests.bad&.row&.dig("road", "stage") == id)
      end

      # @return [Hash] what the bleed knows of the shop and the people: people, celsius
      def at_hand
        {people: entries.said("people")&.fetch("people")&.round || 1,
         celsius: entries.said("temperature")&.fetch("celsius") || Airway::Way::WARM_C}
      end

      # @param shelf [Array<String>] ids of the tools on the shelf; supposed [Hash] of Way
      # @param explain [String, nil] the bleeding method whose figures are wanted
      # @return [Hash] of MethodTable, with the temperature it is judged at
      # Refuses to explain a way that is none.
      def verdicts(shelf: nil, explain: nil, **supposed)
        given = {celsius: at_hand[:celsius], **supposed}
        table = method_table(shelf: shelf, **given)
        figures = explain && table.figures(explained(explain)).map(&:to_h)
        {**table.to_h, celsius: given[:celsius].to_f, figures: figures}.compact
      end

      private

      # @return [Float, nil] s until the air that rises has left by the port, nipples shut; nil where none rises
      def rises_s
        @rises_s ||= Airway::Way.all(job.sheet, celsius: at_hand[:celsius])
          .filter_map { |way| Airway::MethodVerdict.new(way, method_row).rises_shut_s }.max
      end

      def method_table(**given)
        job.choose.method_table(people: at_hand[:people], schools: job.schools, **given)
      end

      # Its own entries, with whatever opened the circuit again among them.
      def counted
        begun = entries.at(0)&.position
        late = begun ? job.ledger.openings.select { |opening| opening.position > begun } : []
        return entries if late.empty?
        Job::Entries.new([*entries, *late.map(&:entry)].sort_by(&:position))
      end

      def explained(id)
        Tables.fetch("bleed_methods", id, "explain", "there is no bleeding method “#{id}”")
      end

      def refill_said
        return "a top-up: the next stroke may uncover the port" if count.supply.kind == "reservoir"
        Wording.inside(count.supply.refill)
      end

      # It was said since the readings that the lever did not hold.
      def round_answers_feel?
        round = entries.last("round")
        read = job.feel.entries.last(*Feel::Stage::MEASURED, "test")
        round && read && round.position > read.position
      end
    end
  end
end
