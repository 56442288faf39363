# frozen_string_literal: true

RSpec.describe Sandbag::Choose::PullList do
  def list(plain, route, **facts)
    job = JobInMemory.new(sheet(plain))
    job.add("ask", "route", {"route" => route})
    facts.each { |question, value| job.add("ask", "intake", {"question" => question.to_s, "value" => value}) }
    job.state.choose.pull_list
  end

  def lines(...)
    list(...).lines.to_h { |line| [line.id, line] }
  end

  it "lays out a flush: fluid, hose and jar, nothing of a strip" do
    flush = lines(twin_disc_plain, "flush")
    expect(flush.keys).to include("fluid", "tool.clear_hose", "tool.nipple_spanner", "eye_shield", "cloth")
    expect(flush.keys).not_to include("kit", "washers", "tray", "tool.internal_pliers", "tool.torque_wrench")
    expect(flush.values.select(&:needed).map(&:id)).to eq ["fluid"]
  end

  it "lays out nothing where the lever is adjusted, and no fluid where a switch is renewed" do
    expect(lines(twin_disc_plain, "adjust_free_play")).to be_empty
    expect(lines(twin_disc_plain, "switch_only").keys).to eq %w[switch adapter_lead tool.multimeter]
  end

  it "wants pads for each caliper, and the cleaner for the disc, where the hydraulics are left alone" do
    pads = lines(twin_disc_plain, "friction_work")
    expect(pads["pads"]).to have_attributes(count: 2, needed: true, thing: "pads")
    expect(pads["disc"]).to have_attributes(count: 1, needed: false)
    expect(pads.keys).to include("disc", "brake_cleaner", "eye_shield").and exclude_line("fluid")
    expect(lines(clutch_plain, "friction_work").keys).to include("clutch_plates").and exclude_line("pads")
  end

  it "has what is new whenever it comes out, and no kit holds: the elbow's O-ring, the clevis pin of a pedal" do
    remote = changed(twin_disc_plain, "reservoir", mount: "remote").to_h
    elbow = lines(remote, "reservoir_fitting")
    expect(elbow["part.inlet_oring"]).to have_attributes(count: 1, needed: true)
    expect(elbow.keys).to include("inlet_elbow", "feed_hose", "hose_clip").and exclude_line("part.piston")
    expect(elbow["hose_clip"].count).to eq 2
    kart = Sandbag::Circuit::Template.sheet("kart_rear").to_h
    expect(lines(kart, "renew_mc").keys).to include "part.split_pin"
    expect(lines(kart, "reseal_mc").keys).not_to include "part.split_pin"
  end

  it "names the bolt by its hose ends, the nipple by its thread, and the spanner that goes on it" do
    reseal = lines(twin_disc_plain, "reseal_mc")
    expect(reseal["banjo_bolt"]).to have_attributes(count: 1, needed: false)
    expect(reseal["banjo_bolt"].detail).to end_with "Master outlet for 2 hose ends"
    expect(reseal["nipple"].detail).to eq "Thread M8"
    expect(reseal["tool.nipple_spanner"]).to have_attributes(sizes: %w[8 10],
      detail: a_string_starting_with("8 mm or 10 mm, for the nipple's thread M8"))
    expect(said(reseal["tool.torque_wrench"].detail))
      .to start_with "1.25 N·m to 9 N·m; 1/4 in drive for the small figures"
  end

  it "wants the rubber of the lid once its 48 months are over, and says its age" do
    renewed = ->(day) { changed(twin_disc_plain, "reservoir", diaphragm_on: day).to_h }
    expect(%w[unknown 2022-03-14 2022-03-15].map { |day|
      list(renewed[day], "flush").find("lid_rubber").needed
    }).to eq [false, true, false]
    expect(list(renewed["2022-03-14"], "flush").find("lid_rubber").detail)
      .to end_with "every 48 months; last renewed 14 Mar 2022, due now"
  end

  it "counts the washers of what is opened: three at a stacked banjo, all seven for new hoses, two at a slave" do
    expect(lines(twin_disc_plain, "reseal_mc")["washers"]).to have_attributes(count: 3, detail: "Master outlet 3")
    expect(lines(twin_disc_plain, "renew_hose")["washers"].count).to eq 7
    expect(lines(clutch_plain, "renew_slave")["washers"].count).to eq 2
  end

  it "opens no cylinder without the fluid that goes back in, and says of every bleed whether it lies there" do
    expect(lines(twin_disc_plain, "reseal_mc")["fluid"].needed).to be true
    job = JobInMemory.new(sheet(twin_disc_plain))
    expect(job.state.choose.fluid_wanted_ml).to be_nil
    job.add("ask", "route", {"route" => "bleed"})
    expect(job.state.choose.fluid_wanted_ml).to eq job.state.choose.need_ml.round
    job.add("choose", "pulled", {"line" => "fluid", "reason" => "two sealed bottles"})
    expect(job.state.choose.fluid_wanted_ml).to be_nil
    job.add("ask", "route", {"route" => "adjust_free_play"})
    expect(job.state.choose.fluid_wanted_ml).to be_nil
  end

  it "knows a part that a kit may lack by its own line, and no other part" do
    reseal = list(twin_disc_plain, "reseal_mc")
    expect(reseal.find("part.boot")).to have_attributes(label: "Dust boot", count: 1)
    expect(%w[part.split_pin part.dragon boot].map { |id| reseal.find(id) }).to all(be_nil)
    expect(list(twin_disc_plain, "flush").find("part.boot")).to be_nil
  end

  it "takes each thing once: what lies on the bench is not laid there again" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.add("ask", "route", {"route" => "reseal_mc"})
    %w[cloth tool.tweezers part.boot].each do |line|
      expect { job.add("choose", "pulled", {"line" => line}) }.to change {
        job.state.choose.on_bench?(job.state.choose.pull_list.find(line))
      }.from(false).to(true)
      expect(problems { job.add("choose", "pulled", {"line" => line}) }.first).to have_attributes(
        pointer: "data/line",
        message: a_string_ending_with("on the bench already")
      )
    end
  end

  it "wants each hose by its length and kind" do
    hoses = lines(twin_disc_plain, "renew_hose")
    expect(hoses["hose.left_hose"]).to have_attributes(label: "Left hose", needed: true)
    expect(said(hoses["hose.left_hose"].detail)).to eq "750 mm, braided"
    expect(hoses.keys).to include("hose.right_hose")
  end

  it "wants cutter and driver where a hose is re-ended, and an olive for a bicycle" do
    expect(lines(bicycle_plain, "reend_hose").keys).to include("tool.hose_cutter", "tool.insert_driver", "olives")
    expect(lines(bicycle_plain, "reend_hose")["olives"].count).to eq 1
  end

  it "wants the whole cylinder by the size that is on" do
    whole = lines(twin_disc_plain, "renew_mc")["cylinder"]
    expect(whole).to have_attributes(needed: true)
    expect(said(whole.detail)).to eq "19 × 20 mm"
  end

  it "asks for the driver with a hole only where a screw has a pin" do
    plain = bicycle_plain
    expect(lines(plain, "reseal_mc").keys).to include("tool.six_lobe")
    expect(lines(plain, "reseal_mc", special_fastener: "pinned").keys).to include(
      "tool.pinned_driver"
    ).and exclude_line("tool.six_lobe")
  end

  def exclude_line(id)
    satisfy("leave out #{id}") { |ids| !ids.include?(id) }
  end

  it "has the protection of its kind: covers for paint, a bag for a bicycle's pads" do
    expect(lines(twin_disc_plain, "reseal_mc").keys).to include("covers").and exclude_line("pads_out")
    expect(lines(bicycle_plain, "reseal_mc").keys).to include("pads_out").and exclude_line("covers")
  end

  it "changes tools with the method" do
    job = JobInMemory.new(sheet(bicycle_plain))
    job.add("ask", "route", {"route" => "bleed"})
    expect(job.state.choose.pull_list.find("tool.syringe_pair")).to be_nil
    job.add("choose", "method", {"method" => "two_syringe"})
    expect(job.state.choose.pull_list.find("tool.syringe_pair")).not_to be_nil
    expect(refusal_at { job.add("choose", "method", {"method" => "hand_vacuum"}) }).to eq ["data/method"]
  end

  it "goes by groups, in the order things are laid out" do
    groups = list(twin_disc_plain, "reseal_mc").lines.map(&:group)
    expect(groups.uniq).to eq described_class::GROUPS
    expect(groups.sort_by { |group| described_class::GROUPS.index(group) }).to eq groups
  end

  it "takes a water reading of glycol only" do
    job = JobInMemory.new(sheet(bicycle_plain))
    expect(problems { job.add("choose", "water", {"water" => 1}) }.first.message).to include("mineral")
    brake = JobInMemory.new(sheet(twin_disc_plain))
    brake.add("choose", "water", {"water" => "1,5"})
    expect(brake.state.choose.water_tested.percent).to eq 1.5
    expect(refusal_at { brake.add("choose", "water", {"water" => 21}) }).to eq ["data/water"]
  end
end
