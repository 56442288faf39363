# frozen_string_literal: true

RSpec.describe "Strip and Build at the far end" do
  include Stripped

  describe "a caliper" do
    it "is one of several: the job says which, or all of them, and counts its pistons" do
      job = JobInMemory.new(circuit_with("caliper_sliding"))
      job.answer_stops
      job.add("ask", "route", {"route" => "slave_work"})
      expect(job.state.waits_for).to eq "where: Left caliper, Right caliper"
      expect(job.state.stages.keys).to include("strip", "build")
      expect(job.state.strip).not_to be_done
      expect(problems { job.add("bleed", "stroke") }.first.message).to start_with "not yet"
      expect(refusal_at { job.add("ask", "at", {"places" => ["joint.master"]}) }).to eq ["data/places"]
      expect(refusal_at { job.add("choose", "far_end", {"part" => "left_caliper"}) }).to eq ["kind"]
      job.add("ask", "at", {"places" => ["far_end.left_caliper"]})
      kinds = %w[cal_piston cal_seal pad crush_washer]
      quantities = lambda do
        parts = job.state.strip.work.parts.select { |part| kinds.include?(part.plain) }
        parts.to_h { |part| [part.id, part.quantity] }
      end
      left = kinds.to_h { |kind| ["#{kind}@left_caliper", 2] }
      expect(quantities[]).to eq left
      job.add("ask", "at", {"places" => %w[far_end.left_caliper far_end.right_caliper]})
      expect(quantities[]).to eq(left.merge(left.transform_keys { |id| id.sub("left", "right") }))
      expect(job.state.choose.pull_list.lines.filter_map { |line| line.label if line.kind == "kit" })
        .to eq ["Seal kit, left caliper", "Seal kit, right caliper"]
    end

    it "has its pistons started by the lever, which is locked only after that" do
      job = job_on("caliper_sliding").set_up
      until job.state.strip.step.plain == "drain"
        expect(job.state.strip).not_to be_lever_locked
        job.add("strip", "step", {"step" => job.state.strip.step.id})
      end
      job.add("strip", "step", {"step" => "drain"})
      expect(job.state.strip).to be_lever_locked
    end

    it "is parted only with the service figure on hand" do
      job = job_on("caliper_opposed").set_up
      job.add("ask", "intake", {"question" => "service_info", "value" => "partly"})
      job.add("strip", "step", {"step" => job.state.strip.step.id}) until job.state.strip.step.plain == "halves"
      halves = job.state.strip.step.id
      expect(halves).to eq "halves@left_caliper"
      expect(refusal_at { job.add("strip", "step", {"step" => halves}) }).to eq ["data/step"]
      job.add("strip", "skipped", {"step" => halves, "reason" => "pistons come with the halves together"})
      job.add("ask", "intake", {"question" => "service_info", "value" => "yes"})
      job.strip_all
      expect(%w[left right].map { |side| job.state.strip.out?("crossover_seal@#{side}_caliper") }).to eq [false, true]
    end

    it "is condemned by its seal groove, and its piston by a pit in the band its seal runs on" do
      job = job_on("caliper_sliding").set_up.strip_all
      job.look_over.gauge(bore: 0, piston: 26.98)
      look = ->(check, value) { job.add("measure", "finding", {"check" => "#{check}@right_caliper", "value" => value}) }
      verdicts = -> { job.state.measure.reports.map { |report| [report.verdict.id, report.verdict.parts] } }
      look["cal_band", "pit"]
      expect(verdicts[]).to eq [["reuse", []], ["parts", ["cal_piston@right_caliper"]]]
      look["cal_groove", "damaged"]
      expect(verdicts[].map(&:first)).to eq %w[reuse unit]
      expect(job.state.measure.verdict.label).to eq "Renew the caliper"
    end

    it "does not leave with pads that were seen wet, whatever Ask was told" do
      job = job_on("caliper_sliding").set_up.strip_all
      job.add("measure", "finding", {"check" => "pads@left_caliper", "value" => "wet"})
      expect(job.flags).to eq ["R09"]
      expect(job.state.do_not_use).to start_with "Fluid or grease on pad or disc"
      job.add("measure", "finding", {"check" => "pads@left_caliper", "value" => "good"})
      expect(job.flags).to be_empty
    end

    it "is renewed whole where it is past use, while the other is used again" do
      job = job_on("caliper_sliding").set_up.strip_all
      job.look_over.gauge(bore: 0, piston: 26.98)
      job.add("measure", "finding", {"check" => "cal_groove@right_caliper", "value" => "damaged"})
      expect(job.state.measure.next_route).to be_nil
      expect(refusal_at { job.add("measure", "whole", {"unit" => "caliper"}) }).to eq ["data/unit"]
      job.add("measure", "whole", {"unit" => "right_caliper"})
      expect(job.state.measure).to be_done
      expect(job.state.choose.wanting.map(&:id)).to eq ["far_unit@right_caliper"]
      expect(job.state.build.steps.map(&:id)).to all end_with("@left_caliper")
      job.add("choose", "pulled", {"line" => "far_unit@right_caliper", "reason" => "bought"})
      job.build_all
      expect(job.state.build).to be_done
      back = job.state.fit.put_back.steps.map { |step| step.unit.at }.uniq
      expect(back).to match_array %w[left_caliper right_caliper]
    end

    it "is gauged at each size of its pistons" do
      opposed = circuit_with("caliper_opposed")
      sized = opposed.far_ends.reduce(opposed) do |now, part|
        now.change(part["id"], "pistons", "34 34 30 30", "part_marking")
      end
      job = JobInMemory.new(sized).laid_out(route: "slave_work").set_up.strip_all
      expect(job.state.measure.reports.first.gauge_missing.map(&:id))
        .to eq %w[band.a@34@left_caliper band.b@34@left_caliper band.a@30@left_caliper band.b@30@left_caliper]
      read = lambda do |place, value|
        job.add("measure", "gauge", {"place" => place, "value" => value, "gauge" => "micrometer"})
      end
      expect(refusal_at { read["band.a@30@left_caliper", 33.98] }).to eq ["data/value"]
      read["band.a@30@left_caliper", 29.90]
      read["band.a@34@left_caliper", 33.98]
      worn = job.state.measure.reports.first.judgements.to_h { |judgement| [Sandbag::Said.plain(judgement.label), judgement.verdict] }
      expect(worn).to eq("Smallest piston, 34 mm" => "reuse", "Smallest piston, 30 mm" => "renew")
    end
  end
end
