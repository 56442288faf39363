# frozen_string_literal: true

RSpec.describe Sandbag::Close::Stage do
  def gate(job, id)
    job.state.close.gates.find { |each| each.id == id }
  end

  # A bleed with everything done but what is done under Close.
  def bled(plain = twin_disc_plain, **answers)
    JobInMemory.new(sheet(plain)).tap do |job|
      answers.each { |question, value| job.add("ask", "intake", {"question" => question.to_s, "value" => value}) }
      job.bled.felt
    end
  end

  # A reseal of a radial master, with everything done but what is done under Close.
  def resealed
    job = JobInMemory.new(changed(twin_disc_plain, "master", construction: "bar_radial"))
      .laid_out.set_up.strip_all.passed.build_all.fit_all
    job.bleed_all
    job.felt
    job
  end

  def signature
    ["close", "signed", {"name" => "R. Tarn"}]
  end

  # docs/trade.md 9.3: which kinds of circuit must have a gate (x), may have it (o), and never do (-). A clutch has its
  # own plates and its own switch where the job worked on them.
  {
    "G01" => "xxxxxx", "G02" => "xxxxxx", "G03" => "xxxxxx", "G04" => "xxxxxx", "G05" => "xxxxxx", "G06" => "xxxxxx",
    "G07" => "xxxxxx", "G08" => "xxxxxx", "G09" => "xxxxxx", "G10" => "xxxxxx", "G11" => "xxxxxx", "G12" => "oooooo",
    "G13" => "xxxxxx", "G14" => "xxxxxo", "G15" => "xxoo-o", "G16" => "oo----", "G17" => "ooo---", "G18" => "-xx---",
    "G19" => "oo-o--", "G20" => "-----x", "G21" => "oo-o-o", "G22" => "xxxxxx", "G23" => "ooxxoo", "G24" => "xxxxxx"
  }.each do |trade, columns|
    {"road_front_twin" => "hand", "road_rear" => "foot", "kart_rear" => "kart", "snow_jackshaft" => "snow",
     "bike_front" => "bicycle", "road_clutch" => "clutch"}.each_with_index do |(template, kind), place|
      mark = columns[place]
      it "#{trade} reads #{mark} on a #{kind} circuit" do
        found = Sandbag::Circuit::Template.sheet(template)
        expect(found.kind.safety).to eq kind
        rows = Sandbag::Tables.rows("gates").select { |row| row["trade"] == trade }
        scope = Sandbag::Close::Scope.new(JobInMemory.new(found).tap(&:answer_stops).state)
        here = rows.reject { |row| row["if"] == "fluid_left" }.select { |row| scope.here?(row) }
        possible = rows.any? do |row|
          must, may = row.values_at("must", "may")
          (must.nil? && may.nil?) || [must, may].compact.any? { |words| found.kind.has?(*words) }
        end
        case mark
        when "x" then expect(here).to eq rows
        when "o" then expect([here, possible]).to eq [[], true]
        else expect([here, possible]).to eq [[], false]
        end
      end
    end
  end

  it "shows what the job did not touch as such, and asks nothing of it" do
    job = bled
    untouched = job.state.close.gates.select { |each| each.state == :not_touched }.map(&:id)
    expect(untouched).to eq %w[measured built seated fitted torque clear]
    expect(problems { job.confirm("seated") }.first.message).to end_with "is worked out, not confirmed"
    expect(resealed.state.close.gates.select { |each| each.state == :not_touched }).to eq []
  end

  it "asks for each nipple by its own name" do
    asked = lambda do |sheet|
      gates = JobInMemory.new(sheet).bled.state.close.gates
      gates.select { |each| each.row["id"] == "nipple" }.map(&:label)
    end
    expect(asked[changed(twin_disc_plain, "left_caliper", nipples: 2)]).to eq [
      "Far nipple of the left caliper: shut and capped", "Near nipple of the left caliper: shut and capped",
      "Nipple of the right caliper: shut and capped"
    ]
  end

  it "goes when every gate is met, by the name of whoever signs, with every step at the end done" do
    job = resealed
    job.read_at_close
    job.state.close.open_gates.each { |open| job.confirm(open.id) }
    expect(job.state.close.gates.select(&:step?).map(&:id)).to eq %w[
      wash paint_marks back_pads back_wheel back_panels back_tape tray waste waste_cloth
    ]
    expect(job.view("close")).to include(ready: true)
    job.add(*signature)
    expect(job.state).to be_signed
    expect(job.view("close")).to include(signed_by: "R. Tarn")
    expect(problems { job.add("ask", "note", {"text" => "one more thing"}) }.first.message)
      .to eq "this job is signed off"
  end

  it "does not go without any one of what is confirmed" do
    job = resealed
    job.confirm_all
    job.state.close.gates.select { |each|
      each.row["settled"] != "computed" && !each.known
    }.each do |each|
      job.add("close", "gate", {"gate" => each.id, "met" => false})
      expect(problems { job.add(*signature) }.map(&:pointer)).to include("gates/#{each.id}")
      next if each.id == "function"
      job.confirm(each.id)
    end
    job.confirm("function")
    job.add(*signature)
  end

  it "forgets what was confirmed before fluid moved again" do
    job = bled
    job.confirm_all
    job.add("bleed", "stroke")
    expect(job.state.close.open_gates.map(&:id)).to include("leak", "level", "caps", "function", "nipple.left_caliper")
  end

  it "opens its computed gates by the work alone" do
    job = bled
    %w[stop fluid bled feel hold leak recheck].each do |computed|
      expect(problems { job.confirm(computed) }.first.message).to end_with "is worked out, not confirmed"
    end
    expect(refusal_at { job.confirm("engine_seal") }).to eq ["data/gate"]
  end

  # What undoes each computed gate of a reseal that was ready to sign.
  {
    "stop" => ["ask", "flag", {"flag" => "R01"}],
    "bled" => ["bleed", "uncovered", {}],
    "hold" => ["feel", "hold", {"creep" => 9.0}],
    "built" => ["build", "check", {"check" => "slide", "pass" => false}],
    "measured" => ["measure", "finding", {"check" => "bore", "value" => "score"}],
    "torque" => ["fit", "torque", {"fastener" => "lid_screw", "value" => 2.5}],
    "clear" => ["fit", "gap", {"check" => "lock_left_pulled", "value" => 6}],
    "free_play" => ["fit", "free_play", {"at" => "tip", "value" => 0}],
    "switch" => ["fit", "ohms", {"state" => "pulled", "ohms" => 4}],
    "parking" => ["fit", "check", {"check" => "parking", "value" => "bad"}],
    "leak" => ["close", "leak", {"value" => "wet"}],
    "return" => ["feel", "test", {"test" => "return_time", "amount" => "0.8"}],
    "pump" => ["feel", "pump", {"travels" => "40 36 34 33 33"}],
    "level" => ["close", "level", {"below" => -2}]
  }.each do |computed, entry|
    it "closes “#{computed}” again when its work is spoilt, and refuses the signature" do
      job = resealed
      job.confirm_all
      job.add(*entry)
      expect(job.state.close.open_gates.map(&:id)).to include(computed)
      expect(gate(job, computed).why).not_to be_empty
      expect(problems { job.add(*signature) }).not_to be_empty
      expect(job.state).not_to be_signed
    end
  end

  it "does not ask again what a test at the lever has said" do
    job = bled
    {"return_time" => "quick", "residual_drag" => "free", "firm_squeeze" => "firm"}
      .each { |test, value| job.add("feel", "test", {"test" => test, "value" => value}) }
    expect(%w[return residual firm].map { |id| [gate(job, id).state, gate(job, id).known] }.uniq).to eq [[:met, true]]
    expect(problems { job.confirm("return") }.first.message).to end_with "is worked out, not confirmed"
  end

  it "lets nobody wheel a machine whose lever is not proven" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    job.read_at_close
    job.state.close.open_gates.reject { |open| open.id == "function" || open.computed? }
      .each { |open| job.confirm(open.id) }
    refused = problems { job.confirm("function") }
    expect(refused.map(&:pointer)).to match_array %w[gates/feel gates/hold]
    expect(refused.map(&:message)).to all(start_with("no function test yet: "))
  end

  it "names what it waits for, in order, and last a signature" do
    job = bled
    waits = []
    until job.state.close.ready?
      waits << job.state.close.waits_for
      open = job.state.close.open_gates.first
      case open.id
      when "batch", "leak", "recheck" then job.read_at_close
      else job.confirm(open.id)
      end
    end
    expect(waits.first(3)).to eq ["batch of the fluid", "free play in range", "firm"]
    expect(waits.last).to eq "walking pace"
    expect(job.state.close.waits_for).to eq "a signature"
  end

  describe "a waiver" do
    it "is none, of no gate, by nobody; one that was entered before meets nothing" do
      job = bled
      waiver = {"gate" => "free_play", "lead" => "M. Beck", "reason" => "not fitted here"}
      refused = problems { job.add("close", "waived", waiver) }.first
      expect([refused.pointer, refused.message]).to eq ["kind", "no gate is waived"]
      before = JobInMemory.new(job.fitted)
      before.instance_variable_set(:@entries, job.entries + [job.entries.last.with(
        id: "w", stage: "close", kind: "waived", data: waiver, position: job.entries.size + 1
      )])
      expect(gate(before, "free_play").state).to eq :open
    end
  end

  describe "the second person" do
    it "is another than the one who signs, however the name is written" do
      job = bled(sole_brake: "yes")
      job.confirm_all
      expect(refusal_at { job.add("close", "signed", {"name" => "Martha Beck"}) }).to eq ["data/name"]
      expect(refusal_at { job.add("close", "signed", {"name" => "\u200b"}) }).to eq ["data/name"]
      job.add("close", "signed", {"name" => "R. Tarn"})
      expect(job.state).to be_signed
    end
  end

  describe "a hold" do
    let(:job) { bled }
    let(:reason) { {"reason" => "no depth gauge for the lift", "name" => "M. Beck"} }

    it "keeps the machine, says why, and takes nothing but a note, a photo or the resume" do
      job.add("close", "held", reason)
      expect(job.headline).to include(
        do_not_use: "on hold, not released: no depth gauge for the lift",
        waits_for: "on hold, not released: no depth gauge for the lift",
        on_hold: include(name: "M. Beck", reason: "no depth gauge for the lift")
      )
      expect(refusal_at { job.add("bleed", "stroke") }).to eq ["stage"]
      expect(refusal_at { job.confirm("firm") }).to eq ["stage"]
      expect(refusal_at { job.add("close", "held", reason) }).to eq ["kind"]
      job.add("ask", "note", {"text" => "gauge on order"})
    end

    it "ends where the job stood, by a resume or by taking it back" do
      before = job.told
      held = job.add("close", "held", reason)
      job.add("close", "resumed")
      expect(job.told[:waits_for]).to eq before[:waits_for]
      expect(job.headline).not_to include(:on_hold, :do_not_use)
      expect(refusal_at { job.add("close", "resumed") }).to eq ["kind"]
      expect(held).to be_a(String)
      again = job.add("close", "held", reason)
      job.undo("close", again)
      job.add("bleed", "stroke")
      expect(job.state).not_to be_on_hold
    end

    it "is possible under a stop, and before any question is answered" do
      stopped = JobInMemory.new(sheet(twin_disc_plain), careful: false)
      stopped.write("ask", "flag", {"flag" => "R18"})
      stopped.write("close", "held", reason)
      expect(stopped.headline[:on_hold]).to include(reason: "no depth gauge for the lift")
    end
  end

  describe "the re-check" do
    let(:job) { bled }

    it "has a day to pick, proposed a day on, none past or out of sight" do
      expect(job.view("close")[:recheck_proposed]).to eq "2026-03-15"
      job.add("close", "recheck", {"on" => "16.3."})
      expect(job.view("close")[:recheck_on]).to eq "2026-03-16"
      expect(gate(job, "recheck").state).to eq :met
      ["13.3.2026", "2027-01-01", "soon"].each do |day|
        expect(refusal_at { job.add("close", "recheck", {"on" => day}) }).to eq ["data/on"]
      end
    end

    it "is weekly for a month on a clutch, and by use where no calendar knows" do
      clutch = JobInMemory.new(sheet(clutch_plain)).bled
      weekly = clutch.view("close")[:rechecks].find { |row| row[:id] == "clutch_weekly" }
      expect(weekly[:days]).to eq %w[2026-03-21 2026-03-28 2026-04-04 2026-04-11]
      expect(clutch.view("close")[:rechecks].find { |row| row[:id] == "first_ride" }).not_to have_key :days
    end
  end

  describe "the leak watch" do
    let(:job) { bled }

    def watch(value)
      job.add("close", "leak", {"value" => value})
    end

    it "is dry twice, ten minutes apart, the first of them under Feel if it was done there" do
      job.add("feel", "test", {"test" => "leak_watch", "value" => "dry"})
      expect(gate(job, "leak").why).to eq "dry once; look again 10 minutes after the first"
      job.wait_minutes(9)
      watch("dry")
      expect(gate(job, "leak").state).to eq :open
      job.wait_minutes(1)
      watch("dry")
      expect(gate(job, "leak").state).to eq :met
    end

    it "starts over when one was wet" do
      watch("dry")
      job.wait_minutes(10)
      watch("wet")
      expect(gate(job, "leak").why).to start_with "wet at a joint"
      job.wait_minutes(10)
      watch("dry")
      expect(gate(job, "leak").why).to start_with "dry once"
    end
  end
end
