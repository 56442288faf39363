# frozen_string_literal: true

RSpec.describe Sandbag::Fit::Stage do
  include FittedJob

  describe "the torque list" do
    it "has every fastener once, in the order of tightening, the clamp, nipples and lid after the bleed" do
      lines = fit(built).torques.lines
      expect(lines.map(&:id)).to eq %w[clamp pivot_bolt pivot_nut banjo.master nipple.left_caliper
        nipple.right_caliper switch_screw lid_screw]
      expect(lines.select { |line| line.when == "after" }.map(&:id)).to eq %w[clamp nipple.left_caliper
        nipple.right_caliper lid_screw]
    end

    it "names no figure for a banjo bolt before it is known to be steel or alloy, and never the steel one for alloy" do
      job = tried(built)
      expect(fit(job).torques.line("banjo.master").range).to be_nil
      job.add("fit", "wrench", {"scale" => 40})
      expect(refused(job, "torque", {"fastener" => "banjo.master", "value" => 25})).to include "steel or alloy"
      master = job.state.sheet.id_of("master")
      job.add("fit", "fact", {"part" => master, "field" => "bolt_material", "value" => "alloy"})
      job.add("fit", "torque", {"fastener" => "banjo.master", "value" => 25})
      line = fit(job).torques.line("banjo.master")
      expect([line.verdict, line.done?]).to eq ["over", false]
      expect(line.due).to include "renew the bolt"
      shown = job.view("fit")[:torques].find { |each| each[:id] == "banjo.master" }
      expect(shown).to include(verdict: "over", over: a_string_including("renew the bolt"))
      job.add("fit", "torque", {"fastener" => "banjo.master", "value" => 15})
      shown = job.view("fit")[:torques].find { |each| each[:id] == "banjo.master" }
      expect(shown).not_to have_key(:over)
      expect(refusal_at { job.add("fit", "estimate", {"fastener" => "banjo.master"}) }).to eq ["data/fastener"]
    end

    it "takes no reading without a wrench, nor by one whose scale the figure is not in" do
      job = tried(built)
      reading = {"fastener" => "pivot_nut", "value" => 6}
      expect(refused(job, "torque", reading)).to eq "with which wrench?"
      job.add("fit", "wrench", {"scale" => 31})
      expect(refused(job, "torque", reading)).to include "under a fifth of a wrench that reads to 31 N·m"
      job.add("fit", "wrench", {"scale" => 5})
      expect(refused(job, "torque", reading)).to include "over the end"
      job.add("fit", "wrench", {"scale" => "20 Nm", "name" => "beam wrench"})
      job.add("fit", "torque", reading.merge("value" => "53 in-lb"))
      expect(fit(job).torques.line("pivot_nut")).to have_attributes(
        verdict: "in",
        wrench: include("name" => "beam wrench")
      )
    end

    it "puts the service figure before the default, and into the machine's record" do
      job = tried(built)
      job.add("fit", "figure", {"fastener" => "clamp", "from" => "11 Nm", "to" => "13 Nm"})
      line = fit(job).torques.line("clamp")
      expect(line.range).to have_attributes(from: 11, to: 13, source: "service_info")
      expect(job.state.sheet.value("master", "torque_clamp")).to eq [11, 13]
      expect(refused(job, "figure", {"fastener" => "clamp", "from" => 13, "to" => 11})).to include "holds nothing"
    end

    it "asks for caliper bolts only where they were loosened, and takes no tick before their service figure" do
      job = template("road_front_single", "friction_work")
      expect(fit(job).torques.lines).to be_empty
      job.add("fit", "loosened", {"fastener" => "caliper_bolt.caliper"})
      job.add("fit", "wrench", {"scale" => 60})
      bolts = {"fastener" => "caliper_bolt.caliper", "value" => 30}
      expect(refused(job, "torque", bolts)).to include "there is no default"
      job.add("fit", "loosened", {"fastener" => "wheel_axle"})
      expect(fit(job).torques.lines.map(&:id)).to eq %w[caliper_bolt.caliper wheel_axle]
      expect(refusal_at { job.add("fit", "loosened", {"fastener" => "wheel_axle"}) }).to eq ["data/fastener"]
      job.add("fit", "figure", {"fastener" => "caliper_bolt.caliper", "from" => 30})
      job.add("fit", "torque", {"fastener" => "caliper_bolt.caliper", "value" => 31})
      expect(fit(job).torques.line("caliper_bolt.caliper")).to be_done
    end

    it "holds a carbon bar to 5 N·m, asks what a bicycle's bar is made of, and says what more would mean" do
      job = template("bike_front", "renew_mc")
      job.choose_what_is_wanted("mineral")
      job.compare_all.set_up.strip_all
      line = -> { fit(job).torques.line("clamp") }
      expect([line[].asks, line[].range]).to eq ["bar", nil]
      lever = job.state.sheet.id_of("lever")
      job.add("fit", "fact", {"part" => lever, "field" => "bar", "value" => "carbon"})
      expect(line[].range).to have_attributes(to: 5, ceiling: 5)
      expect([line[].turns, line[].row["over"]]).to match [nil, a_string_including("not ridden")]
    end

    it "takes an estimate where the trade allows one, and asks the lead for it at release" do
      job = built.fit_all
      job.bleed_all
      job.felt
      expect(job.state.close.gates.map(&:id)).not_to include "estimate"
      job.undo("fit", fit(job).torques.line("nipple.left_caliper").reading.id)
      expect(job.open_gates).to include "torque"
      job.add("fit", "estimate", {"fastener" => "nipple.left_caliper"})
      expect(job.open_gates & %w[estimate torque]).to eq ["estimate"]
      job.closed
      expect(job.state).to be_signed
    end
  end

  it "tightens a screw of one or two newton metres by a short driver, where no wrench reads so little" do
    job = built.fit_all
    job.run_all_clean
    job.add("fit", "wrench", {"scale" => 25})
    expect(refused(job, "torque", {"fastener" => "lid_screw", "value" => 1.5})).to include "under a fifth"
    expect(refused(job, "snug", {"fastener" => "clamp"})).to include "only a torque wrench"
    job.add("fit", "snug", {"fastener" => "lid_screw"})
    line = fit(job).torques.line("lid_screw")
    expect([line.done?, line.snugged?, line.estimated?]).to eq [true, true, false]
  end
end
