# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Choose::Supplies do
  include SuppliedJob

  def supplies(*moves)
    described_class.new(job.state.choose, stock_of(*moves), today: today)
  end

  it "has no list before there is a route, and no fluid on one that leaves it alone" do
    expect(supplies.lines).to be_empty
    job.add("ask", "route", {"route" => "adjust_free_play"})
    expect(supplies.lines.map { |each| each[:id] }).to be_empty
  end

  it "measures what is poured in mL, and counts the rest" do
    reseal
    units = supplies.lines.to_h { |each| [each[:id], each[:unit]] }
    expect(units.fetch("fluid")).to eq "mL"
    expect(units.except("fluid").values.uniq).to eq [""]
  end

  it "lists kit, washers, fluid, protection and the tools of the construction" do
    reseal
    ids = supplies.lines.map { |each| each[:id] }
    expect(ids).to include("kit", "washers", "fluid", "eye_shield", "tray", "tool.internal_pliers", "tool.bore_gauge",
      "tool.torque_wrench", "tool.nipple_spanner")
    expect(ids).not_to include("tool.hand", "tool.long_internal_pliers", "pads_out")
    expect(line(supplies, "tool.internal_pliers")[:detail]).to include("bore circlip out")
  end

  it "swaps the driver for the heads that the intake names" do
    reseal
    expect(line(supplies, "tool.cross_head")).not_to be_nil
    job.add("ask", "intake", {"question" => "special_fastener", "value" => "jis"})
    expect(line(supplies, "tool.cross_head")).to be_nil
    expect(line(supplies, "tool.jis_driver")).to include(needed: true,
      instead: {label: "Cross-head driver", risk: a_string_including("chews")})
  end

  it "leaves the switch off the list where there is none" do
    reseal
    expect(job.state.choose.work.part("switch")).not_to be_nil
    job.add("ask", "intake", {"question" => "brake_switch", "value" => "none"})
    expect(job.state.choose.work.part("switch")).to be_nil
  end

  it "is not finished until what is needed lies on the bench, or its substitute" do
    reseal
    job.answer_stops
    expect(job.state.choose.wanting.map(&:id)).to include("kit", "fluid", "tool.internal_pliers", "tool.bore_gauge",
      "tool.micrometer")
    expect(job.state.waits_for).to start_with "still to fetch: seal kit"
    job.add("choose", "pulled", {"line" => "kit", "reason" => "bought, same as the old parts"})
    job.add("choose", "pulled", {"line" => "tool.internal_pliers"})
    job.add("choose", "pulled", {"line" => "tool.bore_gauge", "instead" => true})
    job.add("choose", "pulled", {"line" => "tool.micrometer", "instead" => true})
    expect(job.state.waits_for).to eq "still to fetch: crush washers, and 1 more"
    job.add("choose", "pulled", {"line" => "washers"})
    expect(job.state.waits_for).to eq "still to fetch: fluid"
    first_ml = job.state.bleed.plan.points.first.flush_ml
    job.add("choose", "pulled", {"line" => "fluid", "count" => (first_ml - 1).round(1)})
    expect(job.state.choose).not_to be_done
    job.add("choose", "pulled", {"line" => "fluid", "count" => 1.2})
    expect(job.state.choose).to be_done
  end

  it "refuses a line that is not on the list, and a substitute nobody accepts" do
    reseal
    expect(refusal_at { job.add("choose", "pulled", {"line" => "anvil"}) }).to eq ["data/line"]
    expect(refusal_at { job.add("choose", "pulled", {"line" => "tool.internal_pliers", "instead" => true}) }).to eq [
      "data/instead"
    ]
    expect(refusal_at { job.add("choose", "pulled", {"line" => "kit"}) }).to eq ["data/item"]
  end

  it "takes a kit that fits, promises one, and wants a reason for a doubtful one" do
    reseal
    shelf = supplies(added_kit(count: 2), added_kit("plain", contents: ShelfThings::KIT.merge("boot" => {})),
      added_kit("twin", bore: "9/16"))
    expect(shelf.admit(pull("kit", "kit")).data).to include("count" => 1)
    expect(refusal_at { shelf.admit(pull("kit", "plain")) }).to eq ["data/reason"]
    expect(shelf.admit(pull("kit", "plain", reason: "marked on the bag")).data["count"]).to eq 1
    expect(problems { shelf.admit(pull("kit", "twin", reason: "it is what there is")) }.first.message).to include(
      "0.29 mm apart"
    )
    expect(refusal_at { shelf.admit(pull("kit", "ghost")) }).to eq ["data/item"]
  end

  it "shows the kits that fit first, then the doubtful, then the near misses" do
    reseal
    shelf = supplies(added_kit("twin", bore: "9/16"), added_kit("radial", construction: "bar_radial"),
      added_kit("plain", contents: ShelfThings::KIT.merge("boot" => {})), added_kit("right"))
    expect(shelf.to_h[:kits].map { |match| match[:item] }).to eq %w[right plain twin radial]
    expect(shelf.to_h[:materials]).to eq %w[EPDM CR]
  end

  it "lists apart what the kit lacks and is renewed in any case" do
    reseal
    shelf = supplies(added_kit(contents: ShelfThings::KIT.except("boot", "piston")))
    expect(line(shelf, "part.boot")).to include(short: 1, detail: a_string_including("renewed in any case"))
    expect(line(shelf, "part.piston")).to include(short: 0, detail: a_string_including("only if the old one fails"))
    bought = shelf.buy.map { |each| each[:label] }
    expect(bought).to include("Dust boot", "Crush washers")
    expect(bought).not_to include("Piston")
  end

  it "ticks a part that was bought apart, and takes it off the buy list" do
    reseal
    job.add("choose", "pulled", {"line" => "part.boot", "reason" => "came with the post"})
    shelf = supplies(added_kit(contents: ShelfThings::KIT.except("boot", "piston")))
    expect(line(shelf, "part.boot")).to include(short: 0, done: true)
    expect(shelf.buy.map { |each| each[:label] }).not_to include("Dust boot")
    expect(shelf.stale).to be_empty
  end

  it "fills a line from two bottles, and calls it done at the last drop" do
    reseal
    shelf = supplies(added_bottle("a", size: 60), added_bottle("b", size: 500))
    need = line(shelf, "fluid")[:count]
    counts = %w[a b].map do |item|
      taken = supplies(added_bottle("a", size: 60), added_bottle("b", size: 500)).admit(pull("fluid", item))
      expect(line(shelf, "fluid")[:done]).to be false
      job.add("choose", "pulled", taken.data)
      taken.data["count"]
    end
    expect(counts).to eq [60, need - 60]
    expect(line(supplies, "fluid")).to include(done: true)
  end

  it "takes fluid of the chosen class only, and never a bottle past its date, whatever the reason" do
    reseal
    shelf = supplies(added_bottle, added_bottle("other", fluid: "dot51"), added_bottle("stale", use_by: "2026-01-01"))
    need = line(shelf, "fluid")[:count]
    expect(shelf.admit(pull("fluid", "bottle")).data["count"]).to be_within(1e-9).of(need)
    expect(problems { shelf.admit(pull("fluid", "other")) }.first.message).to include("DOT 5.1")
    expect(refusal_at { shelf.admit(pull("fluid", "stale", "reason" => "nothing else here")) }).to eq ["data/item"]
  end

  it "opens no second bottle for the last few millilitres, and says how many are done without" do
    reseal
    need = line(supplies, "fluid")[:count]
    shelf = supplies(added_bottle("a", size: need - 5), added_bottle("b", size: 500))
    expect(shelf.to_h[:bottles]).to include(short_ml: 0.0, trim_ml: 5.0, picked: [a_hash_including(item: "a")])
    expect(line(supplies(added_bottle("a", size: need - 5)), "fluid")[:short]).to eq 0
    far = supplies(added_bottle("a", size: need - 6), added_bottle("b", size: 500)).to_h[:bottles]
    expect(far).to include(short_ml: 0.0, picked: [a_hash_including(item: "b")])
    expect(far).not_to include(:trim_ml)
  end

  it "buys nothing of a line that was bought without the shelf, nor of one of which the shelf has more than enough" do
    reseal
    expect(line(supplies, "washers")[:short]).to be_positive
    job.add("choose", "pulled", {"line" => "washers", "reason" => "bought for this job"})
    expect(line(supplies, "washers")[:short]).to eq 0
    expect(line(supplies(added_kit(count: 3)), "kit")[:short]).to eq 0
    expect(line(supplies, "kit")[:short]).to eq 1
  end

  it "names the fluid that was chosen on the list of what to buy" do
    reseal
    expect(supplies.buy.find { |each| each[:unit] == "mL" }).to include(label: "Fluid", detail: "DOT 4 glycol")
  end

  it "finds a tool by what it is, and takes no other in its place" do
    reseal
    tool = ->(id, kind) { move(id, "added", {"kind" => "tool", "name" => id, "fields" => {"tool" => kind}}) }
    shelf = supplies(tool["bent", "internal_pliers"], tool["mike", "micrometer"], added_bottle)
    expect(line(shelf, "tool.internal_pliers")[:options]).to eq [{item: "bent", name: "bent", free: 1.0}]
    expect(shelf.admit(pull("tool.internal_pliers", "bent")).data["count"]).to eq 1
    expect(problems { shelf.admit(pull("tool.internal_pliers", "mike")) }.first.message).to include(
      "it is not Internal circlip pliers"
    )
    expect(problems { shelf.admit(pull("tool.internal_pliers", "bottle")) }.first.message).to include(
      "it is a bottle, not a tool"
    )
  end

  it "never lets a syringe cross over" do
    reseal
    syringe = ->(family) do
      move(
        family,
        "added",
        {"kind" => "syringe", "name" => family, "fields" => {"family" => family, "tool" => "syringe"}}
      )
    end
    shelf = supplies(syringe["glycol"], syringe["mineral"])
    expect(shelf.admit(pull("tool.syringe", "glycol")).data["item"]).to eq "glycol"
    expect(problems { shelf.admit(pull("tool.syringe", "mineral", reason: "washed")) }.first.message).to include(
      "never crosses over"
    )
  end
end
