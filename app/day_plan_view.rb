# frozen_string_literal: true

module App
  # A plan of the day as the page shows it.
  class DayPlanView
    # @param lines [Array<Hash>] headlines of open jobs; asked [Hash] benches, minutes and moved, as the contract has it
    # @param now [Time] the plan starts
    def initialize(lines, asked, now)
      @lines = lines.to_h { |line| [line[:id], line] }
      @now = now
      @works = works_of(asked["moved"] || [])
      @plan = Sandbag::Planner::DayPlan.new(@works, benches: asked["benches"], minutes: asked["minutes"])
    end

    # @return [Hash]
    def to_h
      {
        from: @now.utc.iso8601,
        slots: @plan.slots.map { |slot| slot_view(slot) },
        unfinished: @plan.unfinished.map { |work| line(work.id) },
        late: @plan.late.map { |work| line(work.id) },
        elsewhere: elsewhere,
        finished: @plan.works_done,
        most_finished: @plan.most_finished,
        finish: @plan.score.finish,
        lower_bound: @plan.lower_bound,
        changes: @plan.score.changes,
        exact: @plan.exact?
      }
    end

    private

    def works_of(moved)
      refuse_unknown(moved)
      @lines.values.filter_map do |line|
        put = moved.select { |each| each["job"] == line[:id] }.to_h { |each| [each["piece"], minute(each["at"])] }
        job = Sandbag::Planner::JobWork.new(line, @now, moved: put)
        job.work if job.plannable?
      end
    end

    # A time of the day stays that time however late it is planned; what is past is put at once.
    def minute(at)
      [((Time.iso8601(at) - @now) / 60).ceil, 0].max
    end

    def refuse_unknown(moved)
      moved.each_with_index do |each, place|
        next if @lines.key?(each["job"])
        raise Sandbag::Refusal.at("moved/#{place}/job", "#{each["job"]} is not open", "the id of an open job")
      end
    end

    def slot_view(slot)
      {
        **line(slot.work.id),
        piece: slot.piece,
        pieces: slot.work.pieces.size,
        label: slot.work.pieces[slot.piece].label,
        bench: slot.bench,
        start: slot.start,
        finish: slot.finish,
        wait: slot.work.pieces[slot.piece].wait,
        moved: !slot.work.pieces[slot.piece].at.nil?
      }
    end

    def line(id)
      @lines.fetch(id).slice(:id, :machine, :circuit, :current, :family, :promised)
    end

    # Open, and nothing to be done about it at this bench.
    def elsewhere
      @lines.except(*@works.map(&:id)).values.map { |line| line.slice(:id, :machine, :circuit, :current) }
    end
  end
end
