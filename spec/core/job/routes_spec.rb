# frozen_string_literal: true

# Every route on every kind of circuit, and on every template in turn, worked by a careful mechanic from complaint to
# signature. EVERY_TEMPLATE=1 works every route on every template.
RSpec.describe Sandbag::Job::Route do
  by_kind = Sandbag::Tables.rows("circuit_templates").map { |row| row["id"] }
    .group_by { |template| Sandbag::Circuit::Template.sheet(template).kind }

  # Sizes read off the casting, so that limits apply and the kit can be judged.
  def proven(template)
    circuit = Sandbag::Circuit::Template.sheet(template)
    circuit = circuit.set("master", "bore", circuit.value("master", "bore"), "part_marking")
    circuit.far_ends.reduce(circuit) do |now, part|
      field = circuit.clutch? ? "bore" : "pistons"
      now.change(part["id"], field,
        now.values(now.part(part["id"]))[field].value.then { |size| size.is_a?(Array) ? size.join(" ") : size },
        "part_marking")
    end
  end

  def worked(template, route)
    job = JobInMemory.new(proven(template))
    job.answer_stops
    job.add("ask", "route", {"route" => route})
    job.work_through
  end

  walked = by_kind.flat_map do |kind, templates|
    routes = described_class.all.select { |route| route.suits?(kind) && !route.stops? }
    next templates.product(routes) if ENV["EVERY_TEMPLATE"]
    routes.each_with_index.map { |route, place| [templates[place % templates.size], route] }
  end

  walked.each do |template, route|
    it "#{route.label} on #{template.tr("_", " ")}: signed, work in each stage, parts back, changes proven", :slow do
      job = worked(template, route.id)
      expect(job.state.close.signed?).to be true
      expect(job.state.stages.values.map(&:done?)).to all(be true)
      # a clutch's own mechanism needs nothing that is known beforehand
      idle = job.state.choose.pull_list.lines.none?(&:needed) ? ["choose"] : []
      expect(job.entries.map(&:stage)).to include(*(job.state.stages.keys - idle))
      expect(job.state.strip.tray.cells.empty?).to eq route.part.nil?
      expect(job.state.build.reckoning.leftovers).to be_empty
      expect(job.state.fit.put_back.reckoning.leftovers).to be_empty
      proofs = route.tests + (route.opens? ? ["torque"] : []) + (route.handles_fluid? ? ["bled"] : [])
      expect(proofs).not_to be_empty
      expect(job.state.close.gates.map(&:id)).to include(*proofs)
    end
  end

  it "leaves no template and no route out" do
    expect(walked.map(&:first).uniq).to match_array by_kind.values.flatten
    expect(walked.map(&:last).uniq).to match_array described_class.all.reject(&:stops?)
  end

  it "is offered only where the circuit can have it" do
    clutch_only = described_class.find("clutch_work")
    brake = JobInMemory.new(sheet(twin_disc_plain))
    expect(brake.state.ask.routes).not_to include(clutch_only)
    expect(refusal_at { brake.add("ask", "route", {"route" => "clutch_work"}) }).to eq ["data/route"]
    expect(JobInMemory.new(sheet(clutch_plain)).state.ask.routes).to include(clutch_only)
  end

  it "leaves the foot cylinder as it is where a hand cylinder is added" do
    job = JobInMemory.new(Sandbag::Circuit::Template.sheet("road_rear"))
    job.answer_stops
    job.add("ask", "route", {"route" => "add_mc"})
    added = job.state.sheet
    expect([added.kind.id, added.far_ends]).to eq ["brake_hand_added", job.fitted.far_ends]
    job.add("choose", "cylinder",
      {"bore" => 12, "push_offset" => 20, "agreed" => "a control that was not there before"})
    expect(job.state.sheet.value("master", "bore")).to eq 12
    foot = Sandbag::Calendar::SignedDays.beside(job.state, "2026-03-14")
    expect(foot.value("fluid", "changed_on")).to eq "2026-03-14"
    expect(foot.parts.reject { |part| %w[fluid vehicle].include?(part["part"]) })
      .to eq(job.fitted.parts.reject { |part| %w[fluid vehicle].include?(part["part"]) })
  end

  it "fits an added hand cylinder as a bar lever, with its own hose and joints, and the foot lever's own checks" do
    job = JobInMemory.new(Sandbag::Circuit::Template.sheet("road_rear"))
    job.answer_stops
    job.add("ask", "route", {"route" => "add_mc"})
    expect(job.state.choose.joints.map { |joint| [joint.label, joint.fitting] })
      .to eq [["Master outlet", "banjo"], ["Hose to the foot master, lower end", "nut"]]
    expect(job.state.choose.new_hoses.map { |line| line["label"] }).to eq ["Hose to the foot master"]
    expect(job.state.fit.torques.lines.map(&:id)).to include("clamp", "banjo.master", "comp_nut.added_feed")
    expect(job.state.fit.torques.lines.map(&:id)).not_to include("mount", "rod_nut")
    checks = job.state.fit.checks.all.map { |check| check.row["id"] }
    expect(checks).to include("lock_left_rest", "grip_gap", "foot_lever")
    expect(checks).not_to include("pedal_stop", "rod_locked")
    expect(job.state.choose.bleed_methods.map { |row| row["id"] }).to include("bottom_up_added")
    expect(job.state.choose.pull_list.lines.map(&:id)).to include("cylinder", "hose.added_feed", "washers", "olives",
      "added_sleeve", "added_clamp", "heat_sleeve")
  end

  it "compares new with old before the old comes off" do
    job = JobInMemory.new(proven("road_front_single"))
    job.answer_stops
    job.laid_out(route: "renew_mc")
    job.add("choose", "cylinder", {"bore" => 12.7, "push_offset" => 20, "agreed" => "the same as before"})
    job.set_up
    first = job.state.strip.step.id
    expect(
      problems { job.add("strip", "step", {"step" => first}) }.first.message
    ).to start_with "not yet: compare new with old"
    job.compare_all
    job.add("strip", "step", {"step" => first})
    expect(job.state.strip.done_steps.map(&:id)).to eq [first]
  end
end
