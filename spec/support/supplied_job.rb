# frozen_string_literal: true

# A clutch master that is resealed, what a shelf holds for it, and a line of its pull list.
module SuppliedJob
  include ShelfThings

  def job
    @job ||= JobInMemory.new(
      changed(clutch_plain, "master", spring: "fitted").change("master", "bore", 14, "part_marking")
    )
  end

  def today = Date.new(2026, 3, 14)

  def reseal
    job.add("ask", "route", {"route" => "reseal_mc"})
    job.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
  end

  def line(supplies, id)
    supplies.lines.find { |each| each[:id] == id }
  end

  def pull(line, item = nil, **more)
    Sandbag::Job::Entry.new(id: "p", stage: "choose", kind: "pulled",
      data: {"line" => line, "item" => item, **more.transform_keys(&:to_s)}.compact, at: "2026-03-14T09:00:00Z",
      by: "spec")
  end
end
