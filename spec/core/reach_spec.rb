# frozen_string_literal: true

# Every row of a table is reached by some job: on a template, with and without ABS and a remote reservoir, by a route
# that such a circuit can have. A row that no job comes to is either a mistake or not needed.
RSpec.describe "Rows of the tables", :slow do
  jobs = lambda do |&seen|
    Sandbag::Tables.rows("circuit_templates").each do |template|
      machine = JobInMemory.machine_of(template["id"])
      ReachedJobs.sheets(template["id"]).each do |sheet|
        Sandbag::Job::Route.all.select { |route| route.suits?(sheet.kind) && !route.stops? }.each do |route|
          seen.call(ReachedJobs.begun(sheet, machine, route).state)
        end
      end
    end
  end

  reached = {
    "intake" => ->(job) { job.ask.intake.questions.map { |row| row["id"] } },
    "setup" => ->(job) { job.strip.setup.rows.map { |row| row["id"].split(".").first } },
    "setup_figures" => ->(job) { job.strip.figures.to_a.map { |row| row[:id] } },
    "fit_steps" => ->(job) { job.fit.sequence.steps.map(&:id) },
    "fit_checks" => ->(job) { job.fit.checks.all.map { |check| check.row["id"] } },
    "feel_tests" => ->(job) { job.feel.tests.all.map { |test| test.row["id"] } },
    "gates" => ->(job) { job.close.gates.map { |gate| gate.row["id"] } },
    "rechecks" => ->(job) { job.close.rechecks.to_a.map { |row| row[:id] } },
    "comparisons" => ->(job) { job.measure.comparison.rows.map { |row| row["id"] } },
    "job_parts" => ->(job) { job.choose.pull_list.lines.map { |line| line.id.split("@").first } },
    "bench_things" => ->(job) { job.choose.pull_list.lines.map(&:id) }
  }
  # What no job has before its work: sessions that were driven, joints that were estimated, and brakes that Ask has
  # found to be linked.
  later = {"gates" => %w[sessions estimate linked], "rechecks" => %w[estimated]}

  it "are each reached by some job" do
    seen = Hash.new { |tables, table| tables[table] = Set.new }
    jobs.call { |job| reached.each { |table, ids| seen[table].merge(ids.call(job)) } }
    missing = reached.keys.to_h { |table| [table, Sandbag::Tables.rows(table).map { |row| row["id"] } - seen[table].to_a] }
    expect(missing.reject { |_, ids| ids.empty? }).to eq later
  end

  it "name parts that come out of some cylinder, caliper or joint" do
    parts = %w[constructions part_groups].flat_map { |table| Sandbag::Tables.rows(table) }
      .flat_map { |row| row["parts"].map { |part| part["id"] } }
    named = %w[inspections build_checks inner_comparisons].flat_map do |table|
      Sandbag::Tables.rows(table).map { |row| ["#{table} #{row["id"]}", row["parts"]] }
    end
    outs = Sandbag::Tables.rows("fasteners").map { |row| ["fasteners #{row["id"]}", row["out"]] }
    strange = (named + outs).reject { |_, ids| ids.nil? || ids.intersect?([*parts, "unit"]) }
    expect(strange.map(&:first)).to eq []
  end
end

# Jobs as far as their route is chosen.
module ReachedJobs
  # @return [Array<Sandbag::Circuit::Sheet>] of a template: as it is, with ABS, with a remote reservoir, and with a
  #   barrel to turn where a construction has one
  def self.sheets(template)
    plain = Sandbag::Circuit::Template.filled(template)
    barrel = Sandbag::Tables.rows("constructions").find { |row| row["parts"].any? { |part| part["id"] == "barrel" } }
    built = plain.set("master", "construction", barrel["id"], "measured") if template == "bike_front"
    abs = plain.set("vehicle", "abs", "fitted", "measured") if plain.kind.has?("abs")
    remote = plain.set("reservoir", "mount", "remote", "measured") if plain.kind.has?("open_reservoir")
    [plain, built, abs, remote].compact
  end

  def self.begun(sheet, machine, route)
    job = JobInMemory.new(sheet, machine_kind: machine)
    job.answer_stops
    job.add("ask", "intake", {"question" => "abs", "value" => "fitted"}) if sheet.kind.has?("abs") && sheet.abs?
    if job.state.ask.intake.questions.any? { |row| row["id"] == "abs_tool" }
      job.add("ask", "intake", {"question" => "abs_tool", "value" => "yes"})
    end
    job.add("ask", "route", {"route" => route.id})
    job.work_everywhere
  end
end
