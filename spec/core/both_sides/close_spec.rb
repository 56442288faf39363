# frozen_string_literal: true

require "date"

RSpec.describe "Limits of Close and of stops" do
  let(:found) { sheet(twin_disc_plain) }

  describe "the end of a job" do
    def watch(seconds)
      entries = [0, seconds].each_with_index.map do |second, place|
        Sandbag::Job::Entry.new(id: "l#{place}", stage: "close", kind: "leak", data: {"value" => "dry"},
          at: (Time.utc(2026, 3, 14, 9) + second).iso8601, by: "spec", position: place + 1)
      end
      bleed = Struct.new(:last_disturbed).new(nil)
      Sandbag::Close::LeakWatch.new(Struct.new(:bleed, :journal).new(bleed, Sandbag::Job::Journal.new(entries)))
    end

    both_sides "Close::LeakWatch::APART_S", 599 => false, 600 => true do |seconds|
      watch(seconds).done?
    end

    def level(below_mm, worn_mm)
      Sandbag::Close::Level.new(found, twin_disc, worn: {"left_caliper" => worn_mm}, below_mm: below_mm)
    end

    it "is too full half a millimetre over what worn pads allow, and too low half under MIN" do
      full = level(nil, 0.1)
      seen = [full.highest_below_mm - 0.51, full.highest_below_mm - 0.5, full.lowest_below_mm + 0.5,
        full.lowest_below_mm + 0.51].map { |below| level(below, 0.1).fault&.slice(/too full|below MIN/) }
      expect(seen).to eq ["too full", nil, nil, "below MIN"]
    end

    both_sides "Close::Rechecks::FAR_MONTHS", "Close::Level::READ_TO_MM", "2026-06-14" => false, "2026-06-15" => true,
      "2026-03-13" => true do |day|
      job = JobInMemory.new(found)
      job.answer_stops
      job.add("ask", "route", {"route" => "bleed"})
      refused? { job.add("close", "recheck", {"on" => day}) }
    end

    def fault(changed_on)
      job = JobInMemory.new(found.set("fluid", "changed_on", changed_on, "measured"))
      job.add("ask", "note", {"text" => "in"})
      Sandbag::Close::FluidAge.fault(job.state)
    end

    both_sides "Close::FluidAge::LONG", "2022-03-15" => false, "2022-03-14" => true do |day|
      !fault(day).nil?
    end

    it "shows the wait of the second leak watch before one that Ask set" do
      job = JobInMemory.new(found)
      job.answer_stops
      job.add("ask", "wait", {"wait" => "aerated_fluid"})
      expect(job.headline[:wait][:label]).to eq "Foamy fluid to settle"
      job.add("ask", "route", {"route" => "bleed"})
      job.add("close", "leak", {"value" => "dry"})
      expect(job.headline[:wait][:label]).to eq "Second leak watch"
    end

    it "writes the day into what was renewed, tested or looked at, and into nothing else" do
      days = lambda do |plain, route|
        job = JobInMemory.new(sheet(plain))
        job.answer_stops
        job.add("ask", "route", {"route" => route})
        job.work_through
        written = Sandbag::Calendar::SignedDays.written(job.state, "2026-03-14")
        written.parts.flat_map do |part|
          written.values(part).select { |_, value|
            value.value == "2026-03-14"
          }.keys.map { |field| "#{part["id"]}.#{field}" }
        end
      end
      expect(days[clutch_plain, "slave_work"]).to match_array %w[fluid.changed_on slave.looked_on]
      expect(days[clutch_plain, "reseal_mc"]).to match_array %w[fluid.changed_on master.seals_on]
      expect(days[twin_disc_plain,
        "renew_hose"]).to match_array %w[fluid.changed_on left_hose.fitted_on right_hose.fitted_on]
      expect(days[twin_disc_plain, "adjust_free_play"]).to eq []
    end
  end

  describe "a stop that was lifted" do
    def entry(place, stage, kind, **data)
      Sandbag::Job::Entry.new(id: "e#{place}", stage: stage, kind: kind, data: data.transform_keys(&:to_s),
        at: "2026-03-14T09:00:0#{place}Z", by: "spec", position: place)
    end

    def lifted?(*later)
      row = {"id" => "A9", "when" => {"opens" => ["master"], "abs" => ["fitted"], "lever_feel" => ["soft"]}}
      entries = [entry(1, "ask", "route", route: "reseal_mc"),
        entry(2, "ask", "lifted", flag: "A9", lead: "R. Tarn", reason: "tool on its way"), *later]
      journal = Sandbag::Job::Journal.new(entries)
      !Sandbag::Ask::Liftings.new(journal, Sandbag::Ask::Seen.new(journal)).of(row).nil?
    end

    it "stands again once what raised it is entered again: another repair, the finding, the answer, the report" do
      expect(lifted?).to be true
      expect(lifted?(entry(3, "ask", "route", route: "renew_mc"))).to be false
      expect(lifted?(entry(3, "ask", "finding", finding: "lever_feel", value: "soft"))).to be false
      expect(lifted?(entry(3, "ask", "finding", finding: "lever_feel", value: "firm"))).to be true
      expect(lifted?(entry(3, "ask", "intake", question: "abs", value: "fitted"))).to be false
      expect(lifted?(entry(3, "ask", "intake", question: "abs", value: "none"))).to be true
      expect(lifted?(entry(3, "ask", "flag", flag: "A9"))).to be false
      expect(lifted?(entry(3, "ask", "flag", flag: "R01"))).to be true
    end
  end
end
