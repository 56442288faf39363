# frozen_string_literal: true

RSpec.describe Sandbag::Fit::Stage do
  include FittedJob

  describe "washers" do
    it "counts old out and new in at each joint, and says what does not add up" do
      job = tried(built)
      job.add("fit", "washers", {"joint" => "master", "old" => 2, "new" => 2})
      stack = fit(job).washers.stacks.first
      expect([stack.wanted, stack.due]).to eq [3, "master outlet: 2 new washers went in, 3 belong there"]
      expect(stack.warning).to include "one may stick to the hose end"
      job.add("fit", "washers", {"joint" => "master", "old" => 4, "new" => 3})
      expect(fit(job).washers.stacks.first).to have_attributes(due: nil, warning: a_string_including("one too many"))
      expect(refusal_at { job.add("fit", "washers", {"joint" => "elbow", "old" => 2, "new" => 2}) }).to eq [
        "data/joint"
      ]
      expect(refusal_at { job.add("fit", "washers", {"joint" => "master", "old" => 2.5, "new" => 2}) }).to eq [
        "data/old"
      ]
    end
  end

  describe "the hose" do
    it "is refused when too short, measured wherever the machine can pull at it" do
      job = template("road_front_single", "renew_hose")
      job.choose_what_is_wanted
      job.compare_all
      job.set_up
      tried(job)
      expect(fit(job).hoses.positions.map { |row| row["id"] }).to eq %w[
        left_lock
        straight
        right_lock
        extended
        compressed
      ]
      path = ->(position, length) { {"line" => "hose", "position" => position, "length" => length} }
      %w[left_lock straight right_lock extended].each { |position| job.add("fit", "path", path[position, 900]) }
      job.add("fit", "path", path["compressed", 945])
      job.add("fit", "bend", {"line" => "hose", "radius" => 110})
      expect(
        Sandbag::Said.plain(fit(job).due("before").find { |due| due.include?("too short") })
      ).to include "10 mm too short"
      expect(refused(job, "path", path["straight", 300])).to include "670 mm apart in height alone"
      job.add("fit", "fact", {"part" => "hose", "field" => "length", "value" => "990 mm"})
      expect(fit(job).hoses.laid.first.run).to have_attributes(verdict: "fine", slack_mm: 30)
    end

    it "carries a high spot made by its routing into the circuit" do
      job = template("road_front_single", "renew_hose")
      before = Sandbag::Circuit::Heights.new(job.state.sheet).high_spots
      job.add("fit", "fact", {"part" => "hose", "field" => "high_spot", "value" => "1080"})
      expect(before).to be_empty
      expect(Sandbag::Circuit::Heights.new(job.state.sheet).high_spots.first[:height_mm]).to eq 1080
    end

    it "has the cut and the joining in order, the stop mark asked, on a hose with ends the user fits" do
      job = template("bike_front", "reend_hose")
      steps = fit(job).sequence.of("before").map(&:id)
      expect(steps.first(8)).to eq %w[
        dry_trial
        ends_route
        ends_sleeve
        ends_cut
        ends_slide
        ends_insert
        ends_stop
        joints_on
      ]
    end
  end
end
