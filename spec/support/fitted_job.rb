# frozen_string_literal: true

# A job at the stage Fit.
module FittedJob
  # A reseal of a radial master, built and waiting to go back on the bar.
  def built(circuit = changed(twin_disc_plain, "master", construction: "bar_radial"))
    JobInMemory.new(circuit).laid_out.set_up.strip_all.passed.build_all
  end

  def template(id, route)
    JobInMemory.new(Sandbag::Circuit::Template.sheet(id)).tap do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => route})
    end
  end

  def fit(job)
    job.state.fit
  end

  def refused(job, kind, data)
    problems { job.add("fit", kind, data) }.map { |each| Sandbag::Said.plain(each.message) }.first
  end

  def tried(job)
    job.add("fit", "step", {"step" => "dry_trial"})
    job
  end
end
