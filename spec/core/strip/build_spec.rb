# frozen_string_literal: true

RSpec.describe "Strip and Build" do
  include Stripped

  let(:job) { job_on("bar_radial") }

  describe "building" do
    before { job.set_up.strip_all.passed }

    it "wets cups with what the shop uses, where this circuit bears it, until the job says otherwise" do
      usual = ->(worked, id) do
        Sandbag::Job::State.new(Sandbag::Job::Journal.new(worked.entries), worked.fitted, lubricant: id).build.lubricant
      end
      bicycle = JobInMemory.new(sheet(bicycle_plain)).laid_out(fluid: "mineral")
      expect(%w[own_fluid rubber_grease assembly_paste].map { |id| usual[job, id] }).to eq %w[
        own_fluid
        rubber_grease
        assembly_paste
      ]
      expect(%w[own_fluid rubber_grease assembly_paste].map { |id| usual[bicycle, id] }.uniq).to eq ["own_fluid"]
      job.add("build", "lubricant", {"lubricant" => "own_fluid"})
      expect(usual[job, "rubber_grease"]).to eq "own_fluid"
    end

    it "checks nothing that did not come out" do
      refused = problems { job.add("build", "check", {"check" => "rod", "pass" => true}) }.first
      expect(refused).to have_attributes(
        pointer: "data/check",
        message: a_string_including("not checked here"),
        accepted: a_string_including("slide")
      )
    end

    it "takes no step that the build has not, and says which it has" do
      expect(problems { job.add("build", "step", {"step" => "boot_lace"}) }.first).to have_attributes(
        pointer: "data/step", message: "“boot_lace” is no step of this build", accepted: a_string_including("piston")
      )
      expect(problems { job.add("build", "step", {"step" => job.state.build.steps[1].id}) }.first.message)
        .to end_with "does not come now"
    end

    def up_to(step)
      until job.state.build.step.id == step
        job.face(job.state.build.step)
        job.add("build", "step", {"step" => job.state.build.step.id})
      end
    end

    it "explains a lip that was turned round, and goes on only when it is right" do
      up_to("piston")
      job.add("build", "facing", {"part" => "primary_cup", "faces" => "outward"})
      part =
        job.view("build")[:steps].find { |step| step[:id] == "piston" }[:parts].find do |each|
          each[:id] == "primary_cup"
        end
      expect(part).to include(right: false, why: a_string_including("lips point to the fluid"))
      expect(problems { job.add("build", "step", {"step" => "piston"}) }.first.message).to include(
        "Open side of the primary cup"
      )
      expect(refusal_at { job.add("build", "facing", {"part" => "primary_cup", "faces" => "up"}) }).to eq [
        "data/faces"
      ]
      expect(refusal_at { job.add("build", "facing", {"part" => "boot_lace", "faces" => "up"}) }).to eq ["data/part"]
      job.face(job.state.build.step)
      job.add("build", "step", {"step" => "piston"})
    end

    it "does not finish with a part left in the tray, and names it" do
      job.build_all
      expect(job.state.build).to be_done
      left = job.add("build", "kept_out", {"part" => "lever_bush", "count" => 1})
      expect(job.state.build).not_to be_done
      expect(job.state.build.unresolved).to eq "left in the tray: lever bearing or bush"
      job.undo("build", left)
      expect(job.state.build).to be_done
    end

    it "does not finish while the scrap pot does not add up" do
      job.build_all
      job.add("build", "scrapped", {"count" => job.state.build.reckoning.scrap_wanted - 1})
      expect(job.state.build.waits_for).to include("old pieces belong in it")
    end

    it "reckons a part that was binned for a new one as back, its old one in the pot" do
      job.build_all
      before = job.state.build.reckoning.scrap_wanted
      job.add("build", "kept_out", {"part" => "lever_bush", "count" => 1})
      job.add("build", "binned", {"part" => "lever_bush", "reason" => "worn oval, new one fitted"})
      expect(job.state.build.reckoning.leftovers).to be_empty
      expect(job.state.build.reckoning.scrap_wanted).to eq before + 1
    end

    it "does not finish on a failed check" do
      job.build_all
      job.add("build", "check", {"check" => "ring", "pass" => false})
      expect(job.state.build.unresolved).to eq "Ring in its groove all round: failed"
    end

    it "checks the lubricant against the fluid" do
      expect(job.state.build.lubricant).to eq "own_fluid"
      job.add("build", "lubricant", {"lubricant" => "rubber_grease"})
      expect(
        job.view("build")[:steps].flat_map { |step| step[:parts] }.find { |part| part[:id] == "primary_cup" }[:lube]
      ).to eq "red rubber grease"
      expect(problems { job.add("build", "lubricant", {"lubricant" => "silicone_grease"}) }.first).to have_attributes(
        pointer: "data/lubricant",
        message: a_string_including("dry side only")
      )
      mineral =
        JobInMemory.new(circuit_with("bike_stop_plate").change("fluid", "stamped", "mineral", "part_marking")).laid_out(
          fluid: "mineral"
        )
      expect(
        problems { mineral.add("build", "lubricant", {"lubricant" => "rubber_grease"}) }.first.message
      ).to include("never")
    end

    it "reminds of the grease after a cup was stretched on, and only there" do
      notes = job.view("build")[:steps].to_h { |step| [step[:id], step[:notes].map { |note| note[:text] }.join] }
      expect(notes["piston"]).to include("After stretching the cup on").and include("folded lip")
      expect(notes["lever"]).to be_empty
    end
  end
end
