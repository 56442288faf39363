# frozen_string_literal: true

# Every stop walked both ways: it holds, and what takes it away does so.
RSpec.describe "Stops" do
  include StoppedJob

  describe "questions that can stop the job" do
    let(:worked) do
      JobInMemory.new(
        Sandbag::Circuit::Template.sheet("road_front_single").set("vehicle", "abs", "none", "measured"),
        careful: false
      )
    end

    it "are answered before anything is opened, one by one" do
      route(worked, "bleed")
      asked = []
      while (row = worked.state.ask.intake.unanswered.first)
        asked << row["id"]
        expect(problems { worked.add("strip", "setup", {"item" => "eye_shield"}) }.first.message).to include(row["ask"])
        answer(worked, row["id"].to_sym => JobInMemory::SAFE.fetch(row["id"]))
      end
      expect(asked).to eq %w[at_ease linked service_info sole_brake fluid_marked fluid_found]
      worked.protect
      worked.choose_what_is_wanted
      worked.look_before_fluid
      worked.add("bleed", "stroke")
    end

    it "let a lever be read, a photo be kept and the parts be chosen meanwhile" do
      route(worked, "bleed")
      worked.add("feel", "reading", {"force" => 20, "travel" => 9})
      worked.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
      expect(worked.state.current).to eq "ask"
    end

    it "are not asked again of what the record knows" do
      known = JobInMemory.new(sheet(twin_disc_plain))
      expect(known.state.ask.intake.unanswered.map { |row| row["id"] }).not_to include(
        "abs",
        "abs_tool",
        "fluid_marked"
      )
    end

    it "need a repair as well: nothing is opened on a job without one" do
      bare = JobInMemory.new(sheet(twin_disc_plain), careful: false)
      bare.answer_stops
      expect(problems { bare.add("bleed", "stroke") }.first.message).to include("no repair is chosen")
    end
  end

  describe "ABS" do
    it "is a stop while intake and record contradict one another, whichever says none, and no lead lifts it" do
      {"fitted" => "none", "none" => "fitted"}.each do |recorded, answered|
        worked = job(changed(twin_disc_plain, "vehicle", abs: recorded))
        find(worked, abs_state: "clear") if recorded == "fitted"
        answer(worked, abs: answered)
        route(worked, "refer")
        expect(worked.state.stop).to start_with "The intake and the machine's record say different things about ABS"
        expect(worked.state.sheet.value("vehicle", "abs")).to eq "fitted"
        expect(refusal_at { route(worked, "bleed") }).to eq ["data/route"]
        expect(
          refusal_at { worked.add("ask", "lifted", {"flag" => "S01", "lead" => "R", "reason" => "sure"}) }
        ).to eq ["data/flag"]
        answer(worked, abs: recorded)
        find(worked, abs_state: "clear") if recorded == "fitted"
        route(worked, "flush")
        expect(worked.state.stop).to be_nil
      end
    end

    it "goes by one answer everywhere: what the mechanic says reaches fluid, method and set-up" do
      worked = job(Sandbag::Circuit::Template.sheet("road_rear"))
      expect(worked.state.sheet).to be_abs
      answer(worked, abs: "none")
      worked.answer_stops
      route(worked, "bleed")
      expect(worked.state.sheet).not_to be_abs
      expect(worked.state.strip.setup.rows.map { |row| row["id"] }).not_to include("abs")
      worked.add("choose", "method", {"method" => "reverse_syringe"})
    end

    it "lets nothing be pushed backwards, wherever a method is chosen" do
      fitted = job(Sandbag::Circuit::Template.sheet("road_rear").set("vehicle", "abs", "fitted", "measured"))
      expect(refusal_at { fitted.add("choose", "method", {"method" => "reverse_syringe"}) }).to eq ["data/method"]
      expect(fitted.state.choose.bleed_methods.map { |row| row["id"] }).not_to include("reverse_syringe")
      expect(fitted.state.choose.bleed_methods.map { |row| row["id"] }).to include("hold_cycle")
      found_later = job(Sandbag::Circuit::Template.sheet("road_rear"))
      answer(found_later, abs: "none")
      found_later.add("choose", "method", {"method" => "reverse_syringe"})
      answer(found_later, abs: "fitted")
      expect(found_later.state.choose.bleed_method["id"]).to eq "hold_cycle"
    end

    it "stops when the lever does not hold after a bleed, and again after each failed hold" do
      worked = job(changed(twin_disc_plain, "vehicle", abs: "fitted"))
      find(worked, abs_state: "clear")
      answer(worked, abs_tool: "no")
      worked.bled
      worked.add("feel", "hold", {"creep" => 1.0})
      expect(worked.state.stop).to be_nil
      worked.add("feel", "hold", {"creep" => 6.0})
      expect(worked.flags).to eq ["R05"]
      expect(refusal_at { worked.add("feel", "hold", {"creep" => 1.0}) }).to eq ["stage"]
      worked.add("ask", "lifted", {"flag" => "R05", "lead" => "R. Tarn", "reason" => "bled by the maker's tool"})
      worked.add("feel", "hold", {"creep" => 5.0})
      expect(worked.state.stop).to start_with "ABS machine"
    end

    it "does not stop a brake without ABS for the same hold" do
      worked = job.bled
      worked.add("feel", "hold", {"creep" => 6.0})
      expect(worked.flags).to be_empty
    end

    it "stops for air past the outlet only where nobody has the tool" do
      fitted = -> do
        job(changed(twin_disc_plain, "vehicle", abs: "fitted")).tap { |each| find(each, abs_state: "air_past_outlet") }
      end
      expect(fitted[].flags).to eq ["R03"]
      with_tool = fitted[]
      answer(with_tool, abs_tool: "yes")
      expect(with_tool.flags).to be_empty
    end
  end

  describe "protection" do
    it "comes before any fluid moves, on every job that moves it" do
      %w[flush bleed remake_joint renew_hose reend_hose repair_thread].each do |id|
        worked = JobInMemory.new(sheet(twin_disc_plain), careful: false)
        worked.answer_stops
        route(worked, id)
        worked.work_everywhere
        worked.choose_what_is_wanted
        worked.compare_all
        rows = worked.state.strip.setup.missing
        expect(rows.map { |row| row["id"] }).to include("upright", "covered", "pads", "eye_shield", "container")
        rows.each do |row|
          item = row["id"]
          expect(problems { worked.add("bleed", "stroke") }.first.message).to include("under Strip"),
            "#{id} before #{item}"
          worked.add("strip", *CylinderWork.answered(row))
        end
        worked.fit_all if worked.state.stages.key?("fit")
        worked.add("bleed", "method", {"method" => "hold_cycle"})
        expect(problems { worked.add("bleed", "stroke") }.first.message).to include("clear hose")
        worked.look_before_fluid
        worked.add("bleed", "stroke")
      end
    end

    it "is followed by the parts going back before fluid moves" do
      worked = job(changed(twin_disc_plain, "master", construction: "bar_radial")).laid_out.set_up.strip_all
      expect(problems { worked.add("bleed", "stroke") }.first.message).to include("under Build")
    end
  end

  describe "a referral" do
    it "is put away by name, takes nothing more, and comes back with its machine" do
      worked = job
      expect(refusal_at { worked.add("ask", "referred", {"name" => "R. Tarn"}) }).to eq ["kind"]
      find(worked, abs_state: "lamp_on") if worked.state.ask.askable.any? { |row| row["id"] == "abs_state" }
      worked.add("ask", "flag", {"flag" => "R16"})
      expect(refusal_at { worked.add("ask", "referred", {"to" => "Kestrel Works"}) }).to eq ["data/name"]
      away = worked.add("ask", "referred", {"name" => "R. Tarn", "to" => "Kestrel Works"})
      expect(worked.headline).to include(
        referred: a_hash_including(name: "R. Tarn", to: "Kestrel Works"),
        waits_for: "the machine to come back"
      )
      expect(refusal_at { worked.add("ask", "lifted", {"flag" => "R16", "lead" => "R", "reason" => "x"}) }).to eq [
        "stage"
      ]
      expect(refusal_at { worked.add("ask", "finding", {"finding" => "lever_feel", "value" => "firm"}) }).to eq [
        "stage"
      ]
      worked.add("ask", "note", {"text" => "They rang: Tuesday."})
      worked.add("ask", "returned", {"note" => "bled with their tool"})
      expect(worked.headline).not_to have_key(:referred)
      expect(refusal_at { worked.add("ask", "returned", {"note" => "again"}) }).to eq ["kind"]
      worked.add("ask", "lifted", {"flag" => "R16", "lead" => "R. Tarn", "reason" => "done elsewhere"})
      expect(worked.state.stop).to be_nil
      expect(refusal_at { worked.undo("close", away) }).to eq ["corrects"]
    end

    it "is undone by taking it back" do
      worked = job
      worked.add("ask", "flag", {"flag" => "R16"})
      away = worked.add("ask", "referred", {"name" => "R. Tarn"})
      worked.undo("ask", away)
      expect(worked.state).not_to be_referred
    end
  end
end
