# frozen_string_literal: true

module App
  # /api/plans: a plan of the day for the jobs that are open. Nothing of it is kept.
  class PlansApi < Base
    # Open jobs that a plan takes in, the newest first.
    MOST = 100

    post "/" do
      body = body_for("planDay")
      json 200, DayPlanView.new(open_lines, body, @clock.call).to_h
    end

    helpers do
      def open_lines
        Headlines.new(store, memory).of(store.jobs.page(limit: MOST, state: :open))
      end
    end
  end
end
