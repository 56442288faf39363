# frozen_string_literal: true

require "date"

# Parts that are matched by their sizes and rubber.
RSpec.describe Sandbag::Choose::Supplies do
  include SuppliedJob

  let(:front) { JobInMemory.new(changed(twin_disc_plain, "master", construction: "bar_radial")) }

  def on_shelf(kind, state: front.state, **items)
    moves =
      items.map do |id, fields|
        move(
          id.to_s,
          "added",
          {"kind" => kind, "name" => id.to_s, "count" => 4, "fields" => fields.transform_keys(&:to_s)}
        )
      end
    described_class.new(state.choose, stock_of(*moves), today: today)
  end

  def refusal(shelf, line, item, **more)
    problems { shelf.admit(pull(line, item, **more)) }.first&.message
  end

  def on(route)
    front.add("ask", "route", {"route" => route})
    front.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
  end

  it "are a cylinder by bore, push offset, construction and rubber" do
    on("renew_mc")
    right = {bore: 19, push_offset: 20, construction: "bar_radial", family: "glycol"}
    shelf =
      on_shelf(
        "cylinder",
        right: right,
        small: right.merge(bore: 16),
        short: right.merge(push_offset: 18),
        oily: right.merge(family: "mineral"),
        axial: right.merge(construction: "bar_axial_circlip"),
        unread: right.except(:push_offset)
      )
    expect(shelf.admit(pull("cylinder", "right")).data["count"]).to eq 1
    expect(refusal(shelf, "cylinder", "small")).to include("19 mm was chosen")
    expect(refusal(shelf, "cylinder", "short", reason: "near enough")).to include("push offset is 18 mm")
    expect(refusal(shelf, "cylinder", "oily", reason: "washed")).to include("mineral")
    %w[axial unread].each do |doubtful|
      expect(refusal(shelf, "cylinder", doubtful)).to include("compared first").or include("beside the old one")
      expect(refusal(shelf, "cylinder", doubtful, reason: "compared with the old one")).to be_nil
    end
  end

  it "make the record that of the new cylinder, where that is of another construction, and strip the old one" do
    on("renew_mc")
    axial = {bore: 19, push_offset: 20, construction: "bar_axial_circlip", family: "glycol"}
    shelf = on_shelf("cylinder", axial: axial)
    steps = front.state.strip.work.steps.map(&:id)
    expect([front.state.sheet.value("master", "construction"), front.state.sheet.source("master", "stroke"),
      front.state.sheet.source("fluid", "volume")]).to eq %w[bar_radial measured measured]
    taken = shelf.admit(pull("cylinder", "axial", reason: "compared with the old one"))
    front.add("choose", "pulled", taken.data)
    expect([front.state.sheet.value("master", "construction"), front.state.sheet.source("master", "stroke"),
      front.state.sheet.source("fluid", "volume")]).to eq %w[bar_axial_circlip default default]
    expect(front.state.strip.work.steps.map(&:id)).to eq steps
    expect(refusal_at { front.add("choose", "pulled", {"line" => "washers", "construction" => "bar_radial"}) })
      .to eq ["data/construction"]
  end

  it "are a hose by length, kind and ends" do
    on("renew_hose")
    right = {length: 750, hose_kind: "braided", ends: "banjo"}
    shelf =
      on_shelf(
        "hose",
        right: right,
        short: right.merge(length: 700),
        long: right.merge(length: 850),
        rubber: right.merge(hose_kind: "rubber"),
        bicycle: right.merge(hose_kind: "nylon"),
        nut: right.merge(ends: "nut"),
        unread: right.except(:ends)
      )
    expect(refusal(shelf, "hose.left_hose", "right")).to be_nil
    expect(refusal(shelf, "hose.left_hose", "short", reason: "stretches")).to include("50 mm too short")
    expect(refusal(shelf, "hose.left_hose", "bicycle",
      reason: "x")).to include("hand brake takes rubber, braided, steel")
    expect(refusal(shelf, "hose.left_hose", "nut", reason: "x")).to include("the master takes banjo")
    %w[long rubber unread].each do |doubtful|
      expect(refusal(shelf, "hose.left_hose", doubtful)).not_to be_nil
      expect(refusal(shelf, "hose.left_hose", doubtful, reason: "laid and compared")).to be_nil
    end
    expect(refusal(shelf, "hose.right_hose", "right")).to include("100 mm too short")
  end

  it "are washers by the bolt's bore and by their metal" do
    on("remake_joint")
    washers = {
      right: {
        bore: 10,
        metal: "copper"
      },
      wide: {
        bore: 12,
        metal: "copper"
      },
      soft: {
        bore: 10,
        metal: "aluminium"
      }
    }
    shelf = on_shelf("washer", **washers)
    expect(refusal(shelf, "washers", "right")).to be_nil
    expect(refusal(shelf, "washers", "wide")).to include("by the trade default")
    known =
      %w[left right].reduce(front.fitted) do |now, side|
        now.change("#{side}_hose", "bolt", 10, "measured").change(
          "#{side}_hose",
          "washer_metal",
          "copper",
          "measured"
        )
      end
    measured = on_shelf("washer", state: Sandbag::Job::State.new(front.state.journal, known), **washers)
    expect(refusal(measured, "washers", "wide", reason: "filed")).to include("12 mm, the banjo bolt is 10")
    expect(refusal(measured, "washers", "soft")).to include("another torque")
  end
end
