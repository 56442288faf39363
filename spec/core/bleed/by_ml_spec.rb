# frozen_string_literal: true

# Ways that are counted in millilitres: vacuum, pressure, gravity and syringes.
RSpec.describe Sandbag::Bleed::Count, "by millilitres" do
  def bleeding(plain, method)
    JobInMemory.new(sheet(plain)).tap do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => "bleed"})
      job.add("bleed", "method", {"method" => method})
      job.protect
      job.look_before_fluid
    end
  end

  def tight(job, first: 0.06, after: 0.058)
    job.add("bleed", "tool_tight", {"first" => first, "after" => after})
  end

  def count(job)
    job.state.bleed.count
  end

  describe "vacuum on a clutch" do
    let(:job) { bleeding(clutch_plain, "hand_vacuum") }

    it "draws nothing before the tool is shown to hold 15 s" do
      expect(problems { job.add("bleed", "run", {"ml" => 3}) }.first.message).to include "shown to be tight"
      tight(job, first: 0.06, after: 0.05)
      expect(job.state.bleed.checks.tightness).to include(held: false)
      tight(job, first: 0.02, after: 0.02)
      expect(job.state.bleed.checks.tightness[:says]).to start_with "Too little vacuum"
      tight(job)
      job.add("bleed", "run", {"ml" => 3})
      expect(refusal_at { tight(job, first: 0.05, after: 0.06) }).to eq ["data/after"]
    end

    it "draws the reservoir down, warns at 0.6 of it, and takes no more than was there unless it was poured in" do
      tight(job)
      usable = job.state.bleed.plan.usable_ml
      job.add("bleed", "run", {"ml" => 0.6 * usable})
      expect(count(job).reservoir).to have_attributes(warning: "now", left_ml: be_within(1e-9).of(0.4 * usable))
      expect(refusal_at { job.add("bleed", "run", {"ml" => 0.5 * usable}) }).to eq ["data/ml"]
      job.add("bleed", "run", {"ml" => 0.5 * usable, "poured" => true})
      expect(count(job).reservoir.left_ml).to be_within(1e-9).of(0.4 * usable)
      job.add("bleed", "run", {"ml" => 0.4 * usable})
      expect(count(job).reservoir).to have_attributes(warning: "stop", spent?: true)
      job.add("bleed", "topped_up")
      expect(count(job).reservoir).to have_attributes(warning: "ok", left_ml: usable)
    end

    it "is through a point when enough has passed, 20 mL of it without a bubble, as fresh" do
      tight(job)
      run = ->(ml) { job.add("bleed", "run", {"ml" => ml, "poured" => true}) }
      run.call(30)
      job.add("bleed", "bubbles")
      run.call(19)
      job.add("bleed", "colour", {"colour" => "as_fresh"})
      expect(problems { job.add("bleed", "point_done", {"point" => "slave"}) }.first.message).to include "to go"
      run.call(1)
      job.add("bleed", "point_done", {"point" => "slave"})
      expect(count(job)).to be_finished
      expect(job.state.bleed.waits_for).to start_with "the nipple was closed while the pump still drew"
      job.add("bleed", "check", {"check" => "vacuum_held", "value" => "late"})
      expect(job.state.bleed).not_to be_done
      job.look_after_fluid
      expect(job.state.bleed).to be_done
    end

    it "counts no strokes, and strokes count no millilitres" do
      tight(job)
      expect(refusal_at { job.add("bleed", "stroke") }).to eq ["kind"]
      job.add("bleed", "method", {"method" => "hold_cycle"})
      job.look_before_fluid
      job.add("bleed", "stroke")
      expect(refusal_at { job.add("bleed", "run", {"ml" => 3}) }).to eq ["kind"]
    end
  end

  describe "two syringes on a bicycle" do
    let(:job) { bleeding(bicycle_plain, "two_syringe") }

    it "counts what goes in below and what comes out above, and never empties the syringe" do
      job.add("bleed", "run", {"ml" => 15, "out" => 14})
      job.add("bleed", "run", {"ml" => 8, "out" => 8.5})
      expect(count(job).log.to_h).to include(in_ml: 23.0, out_ml: 22.5)
      expect(count(job).reservoir).to have_attributes(left_ml: 0.0, warning: "stop")
      expect(refusal_at { job.add("bleed", "run", {"ml" => 1}) }).to eq ["data/ml"]
      job.add("bleed", "topped_up")
      expect(count(job).reservoir.left_ml).to eq 23.0
    end

    it "refuses more out than can have been in it, and an upper syringe where there is none" do
      expect(refusal_at { job.add("bleed", "run", {"ml" => 5, "out" => 90}) }).to eq ["data/out"]
      other = bleeding(clutch_plain, "reverse_syringe")
      expect(refusal_at { other.add("bleed", "run", {"ml" => 5, "out" => 5}) }).to eq ["data/out"]
    end
  end

  it "refills the syringe and draws the reservoir down before it opens the next nipple" do
    job = JobInMemory.of_template("road_front_single")
    ByNow.new(job, "slave_work").work { |stage| break if stage == "bleed" }
    job.add("bleed", "method", {"method" => "reverse_syringe"})
    job.look_before_fluid
    expect(count(job).points.size).to eq 2
    first = ->(at) { job.view("bleed")[:now].first[at] }
    until job.state.bleed.count.current.missing.empty?
      job.add("bleed", "topped_up") if count(job).reservoir.spent?
      job.add("bleed", "run", {"ml" => count(job).reservoir.left_ml})
      job.add("bleed", "colour", {"colour" => "as_fresh"})
    end
    expect(count(job).reservoir).to be_spent
    job.add("bleed", "point_done", {"point" => count(job).current_id})
    expect(first[:id]).to eq "topped_up"
    job.add("bleed", "topped_up")
    expect(first[:id]).to eq "beat.open_flow"
  end

  it "pushes up only as much as the reservoir has room for, whatever the syringe holds" do
    job = bleeding(clutch_plain, "reverse_syringe")
    usable = job.state.bleed.plan.usable_ml
    expect(count(job).supply).to have_attributes(kind: "syringe", ml: usable)
    expect(job.view("bleed")[:method]).to include(refill: "Refill the syringe, draw the reservoir down", by_ml: true)
    expect(refusal_at { job.add("bleed", "run", {"ml" => usable + 1}) }).to eq ["data/ml"]
  end

  describe "a change of method on the way" do
    let(:job) { bleeding(clutch_plain, "hold_cycle") }

    it "keeps what was passed, judges bubbles again, and says what it is worth" do
      job.strokes(4)
      passed = count(job).current.passed_ml
      left = count(job).reservoir.left_ml
      job.add("bleed", "method", {"method" => "hand_vacuum"})
      expect(count(job).current).to have_attributes(passed_ml: passed, clean_strokes: 0)
      expect(count(job).reservoir.left_ml).to eq left
      expect(Sandbag::Said.plain(count(job).log.changes.first[:says])).to match(/\A\d+ mL are kept.*starts again/)
      job.add("bleed", "method", {"method" => "reverse_syringe"})
      expect(Sandbag::Said.plain(count(job).log.changes.last[:says])).to include "already flushed still counts"
    end

    it "is said nothing of before any fluid has moved, and asks its own looks" do
      job.add("bleed", "method", {"method" => "hand_vacuum"})
      expect(count(job).log.changes).to eq []
      expect(job.state.bleed.checks.start.map { |check| check.row["id"] }).to include "barb"
      expect(job.state.choose.bleed_method["id"]).to eq "hand_vacuum"
    end

    it "is made under Bleed once fluid has moved, and never to what may not be used" do
      job.strokes(1)
      expect(refusal_at { job.add("choose", "method", {"method" => "hand_vacuum"}) }).to eq ["kind"]
      expect(refusal_at { job.add("bleed", "method", {"method" => "two_syringe"}) }).to eq ["data/method"]
    end

    it "is taken back with its entry" do
      job.strokes(2)
      before = job.view("bleed").except(:recent)
      job.undo("bleed", job.add("bleed", "method", {"method" => "hand_vacuum"}))
      expect(job.view("bleed").except(:recent)).to eq before
    end
  end

  it "conserves fluid: what passed the points came out of the fillings" do
    for_all(one: 0.2..2.5, other: 0.2..2.5) do |one:, other:|
      job = bleeding(clutch_plain, "gravity_flush")
      drawn = 0.0
      ([one, other] * 4).each do |ml|
        if count(job).reservoir.left_ml < ml
          drawn += count(job).supply.ml - count(job).reservoir.left_ml
          job.add("bleed", "topped_up")
        end
        job.add("bleed", "run", {"ml" => ml})
      end
      drawn += count(job).supply.ml - count(job).reservoir.left_ml
      expect(count(job).passed_ml).to be_within(1e-6).of(drawn)
    end
  end
end
