# frozen_string_literal: true

RSpec.describe Sandbag::Job::Ledger do
  def master_in_tray
    JobInMemory.new(sheet(twin_disc_plain)).tap { |job| job.laid_out.set_up.strip_all }
  end

  def bled_job = JobInMemory.new(sheet(twin_disc_plain)).tap(&:bled)

  def route(job, id) = job.add("ask", "route", {"route" => id})

  %w[recheck switch_only adjust_free_play set_level flush].each do |id|
    it "refuses #{id} while the master lies in the tray" do
      job = master_in_tray
      expect { route(job, id) }.to raise_error(Sandbag::Refusal, /\Adata: this would leave undone: off .*piston out/)
      expect(job.open_gates).not_to include "undone"
    end
  end

  it "refuses to take back the choice that took the master apart, and lets a new master follow" do
    job = master_in_tray
    chosen = job.entries.find { |entry| entry.kind == "route" }
    expect { job.undo("ask", chosen.id) }.to raise_error(Sandbag::Refusal, /\Acorrects: .*off and not back/)
    route(job, "renew_mc")
    expect(job.state.ledger.faults).to be_empty
  end

  it "keeps a job open whose journal was brought in with another route" do
    job = master_in_tray
    position = job.entries.size + 1
    entries = job.entries + [Sandbag::Job::Entry.new(id: "x", stage: "ask", kind: "route",
      data: {"route" => "recheck"}, at: "2026-03-14T12:00:00Z", by: "spec", position: position)]
    state = Sandbag::Job::State.new(Sandbag::Job::Journal.new(entries), job.fitted)
    gate = state.close.gates.find { |each| each.id == "undone" }
    expect([gate.state, gate.why]).to match [:open, /off and not back/]
  end

  it "lets the other master work go on once everything is back" do
    job = master_in_tray.passed.build_all.fit_all
    expect { route(job, "flush") }.to raise_error(Sandbag::Refusal, /off and not back: .*lid off/)
    job.bleed_all
    route(job, "flush")
    expect(job.state.ledger.faults).to be_empty
  end

  it "refuses a repair without a bleed once fluid has moved" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.add("ask", "route", {"route" => "flush"})
    job.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
    expect(job.state.ledger.begun).to be_nil
    job.strokes(1)
    expect(job.state.ledger.begun).to eq "fluid has been moved"
    expect { route(job, "recheck") }.to raise_error(Sandbag::Refusal, /\Adata: .*fluid was moved/)
    expect { route(job, "bleed") }.not_to raise_error
  end

  it "refuses a repair without a bleed once the circuit was opened to find a fault" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.answer_stops
    job.add("ask", "finding", {"finding" => "release_point", "value" => "adjuster"})
    route(job, "adjust_free_play")
    expect(job.state.ledger.faults).to be_empty
    expect { job.add("ask", "finding", {"finding" => "release_point", "value" => "mc_outlet"}) }.not_to raise_error
    expect(job.open_gates).to include "undone"
    expect(job.state.close.gates.find { |gate| gate.id == "undone" }.why)
      .to eq "the circuit was opened (what releases it) and is not bled"
    route(job, "bleed")
    expect(job.open_gates).not_to include "undone"
  end

  it "takes no look that opens the circuit before it may be opened" do
    job = JobInMemory.new(sheet(twin_disc_plain).set("vehicle", "abs", "fitted", "measured"), careful: false)
    look = {"finding" => "mc_isolated", "value" => "firm"}
    expect { job.add("ask", "finding", look) }.to raise_error(Sandbag::Refusal, /this opens the circuit; first: /)
    job.answer_stops
    expect { job.add("ask", "finding", look) }.to raise_error(Sandbag::Refusal, /not checked yet/)
    job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
    job.add("ask", "finding", look)
    route(job, "bleed")
    expect(job.state.stop).to start_with "The job opens the master or a hose above the ABS unit."
  end

  it "starts the bleed over, and takes no lever as proved, where something is opened after the strokes" do
    job = bled_job
    job.felt
    expect([job.state.bleed.done?, job.state.feel.done?]).to eq [true, true]
    route(job, "reseal_mc")
    job.set_up
    job.state.choose.wanting.each { |line| job.add("choose", "pulled", {"line" => line.id, "reason" => "bought"}) }
    job.add("strip", "step", {"step" => job.state.strip.step.id}) until job.state.ledger.last_opened
    expect([job.state.bleed.done?, job.state.feel.done?, job.state.feel.verdict]).to eq [false, false, nil]
    expect(job.state.bleed.count.log.restarts.last[:why]).to start_with "The circuit was opened again."
  end

  it "reads no lever and watches no joint before fluid is back, and none with a nipple open" do
    job = master_in_tray
    expect { job.add("feel", "reading", {"force" => 20, "travel" => 9}) }
      .to raise_error(Sandbag::Refusal, /\Akind: .*nothing can be read at the lever: the circuit was opened or drained/)
    expect { job.add("close", "leak", {"value" => "dry"}) }.to raise_error(Sandbag::Refusal, /no joint can be watched/)
    job.passed.build_all.fit_all
    job.bleed_all
    expect { job.add("feel", "reading", {"force" => 20, "travel" => 9}) }.not_to raise_error
    %w[hold open].each { |beat| job.add("bleed", "beat", {"beat" => beat}) }
    expect { job.add("feel", "hold", {"creep" => 0}) }.to raise_error(Sandbag::Refusal, /\Akind: .*a nipple is open/)
  end

  it "refuses to leave a caliper apart, by its name, where the job goes on at the other one" do
    job = JobInMemory.new(Sandbag::Circuit::Template.filled("road_front_twin"))
    job.answer_stops
    route(job, "slave_work")
    job.work_everywhere.choose_what_is_wanted
    job.set_up
    job.add("strip", "step", {"step" => "pad_pin@caliper_left"})
    expect(job.state.ledger.faults).to be_empty
    expect { job.add("ask", "at", {"places" => ["far_end.caliper_right"]}) }
      .to raise_error(Sandbag::Refusal, /\Adata: .*off and not back: pad pins out/)
    expect { job.add("ask", "at", {"places" => ["far_end.caliper_left"]}) }.not_to raise_error
  end

  it "refuses to leave a joint behind that was opened and not tightened" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    route(job, "remake_joint")
    job.add("ask", "at", {"places" => [job.state.ask.where.candidates.last.id]})
    job.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
    job.state.choose.wanting.each { |line| job.add("choose", "pulled", {"line" => line.id, "reason" => "bought"}) }
    job.set_up
    at = job.state.fit.washers.stacks.first
    job.add("fit", "washers", {"joint" => at.at, "old" => at.wanted, "new" => at.wanted})
    expect { route(job, "flush") }.to raise_error(Sandbag::Refusal, /\Adata: .*loosened and is not tightened/)
  end
end
