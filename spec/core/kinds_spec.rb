# frozen_string_literal: true

# Four kinds of machine: what each is asked for, and what none of the others is (docs/trade.md 14.2, 14.3).
RSpec.describe "Kinds of machine" do
  def job(template, route = "reseal_mc")
    JobInMemory.new(Sandbag::Circuit::Template.sheet(template)).tap do |made|
      made.answer_stops
      made.add("ask", "route", {"route" => route})
    end
  end

  of_kind = {
    "kart_rear" => {setup: %w[pedal_side], fit: %w[rod_clear second_link pedal_travel], feel: %w[full_pedal]},
    "kart_bar_front" => {setup: %w[pedal_side balance_bar],
                         fit: %w[rod_clear second_link pedal_travel bar_free bar_square], feel: %w[full_pedal]},
    "road_rear" => {setup: %w[heel_guard]},
    "snow_jackshaft" => {setup: %w[hood thawed], fit: %w[warm_grips hot_hose]},
    "bike_front" => {setup: %w[lever_side bar_things], fit: %w[carbon_bar motor_cut],
                     feel: %w[block_squeeze bar_gap lean]},
    "road_front_twin" => {}
  }
  own = of_kind.values.reduce { |all, one| all.merge(one) { |_, left, right| left | right } }

  of_kind.each do |template, wanted|
    it "asks of #{template.tr("_", " ")} what is its own, and nothing that is another kind's" do
      made = job(template).state
      asked = {setup: made.strip.setup.rows.map { |row| row["id"] },
               fit: made.fit.checks.all.map { |check| check.row["id"] },
               feel: made.feel.tests.all.map { |check| check.row["id"] }}
      own.each { |where, ids| expect(asked[where] & ids).to match_array(wanted.fetch(where, [])), where.to_s }
    end
  end

  it "renews a snowmobile's fluid before storage, and looks at a kart after its first session" do
    said = ->(template) { job(template).state.close.rechecks.to_a.map { |row| row[:id] } }
    expect(said["snow_jackshaft"]).to include("first_outing", "storage")
    expect(said["kart_rear"]).to include("first_session")
    expect(said["kart_rear"]).not_to include("storage", "first_outing")
  end

  def gates(template, machine_kind, route = "bleed")
    made = JobInMemory.new(Sandbag::Circuit::Template.sheet(template), machine_kind: machine_kind)
    made.answer_stops
    made.add("ask", "route", {"route" => route})
    made.state.close.gates.map(&:id)
  end

  it "asks for the cover over a slave that is worked on, and on no other job of a clutch" do
    asked = ->(route) { job("road_clutch", route).work_everywhere.state.strip.setup.rows.map { |row| row["id"] } }
    expect(asked["slave_work"]).to include "slave_cover"
    expect(asked["reseal_mc"]).not_to include "slave_cover"
  end

  it "has both levers of a scooter tried, and boot and pivot of an off-road motorcycle cleaned, whatever the job" do
    expect(gates("scooter_front", "scooter") & %w[both_levers boot_pivot]).to eq %w[both_levers]
    expect(gates("scooter_front", "scooter", "adjust_free_play")).not_to include "both_levers"
    expect(gates("offroad_front", "offroad", "adjust_free_play") & %w[both_levers boot_pivot]).to eq %w[boot_pivot]
    expect(gates("road_front_twin", "road") & %w[both_levers boot_pivot]).to eq []
  end

  it "asks of an ATV which control works the brake, and hears one that the record does not have" do
    atv = JobInMemory.new(Sandbag::Circuit::Template.sheet("atv_rear"), machine_kind: "atv")
    atv.add("ask", "intake", {"question" => "works_by", "value" => "thumb"})
    expect(atv.state.ask.intake.against_record).to eq []
    atv.add("ask", "intake", {"question" => "works_by", "value" => "foot"})
    expect(atv.state.ask.intake.against_record.join).to include("The record has a lever, you say “foot lever”")
    road = JobInMemory.new(Sandbag::Circuit::Template.sheet("road_rear"), machine_kind: "road")
    expect(road.state.ask.intake.questions.map { |row| row["id"] }).not_to include "works_by"
  end

  it "tries each line alone only where two rubber hoses end in a caliper each" do
    tried = ->(sheet) { JobInMemory.new(sheet).state.feel.tests.there?("each_line") }
    twin = Sandbag::Circuit::Template.sheet("road_front_twin")
    rubber = %w[hose_left hose_right].reduce(twin) { |sheet, hose| sheet.change(hose, "kind", "rubber", "measured") }
    expect(tried[rubber]).to be true
    expect(tried[rubber.change("hose_left", "kind", "braided", "measured")]).to be false
    expect(tried[Sandbag::Circuit::Template.sheet("road_front_single")]).to be false
  end

  it "asks a kart for its switch once, and for nothing of a switch it has not got" do
    fit_of = ->(switch) {
      made = JobInMemory.new(Sandbag::Circuit::Template.sheet("kart_rear"), machine_kind: "kart")
      made.answer_stops
      made.add("ask", "intake", {"question" => "brake_switch", "value" => switch})
      made.add("ask", "route", {"route" => "reseal_mc"})
      fit = made.state.fit
      [*fit.sequence.steps.map(&:id), *fit.checks.all.map { |check| check.row["id"] },
        *fit.torques.lines.map(&:id)] & %w[switch_on connector switch_screw]
    }
    expect(fit_of["none"]).to eq []
    expect(fit_of["pressure"]).to include "connector"
  end

  it "has a second person check a machine that carries a child or cargo" do
    checked = ->(use) {
      made = JobInMemory.new(Sandbag::Circuit::Template.sheet("bike_cargo_front"), machine_kind: "bicycle",
        machine_use: use)
      made.answer_stops
      made.add("ask", "intake", {"question" => "at_ease", "value" => "yes"})
      made.state.ask.second_person?
    }
    expect(checked["cargo"]).to be true
    expect(checked["daily"]).to be false
  end

  it "turns a disc on the jackshaft faster than the wheel, and one on the driveshaft as fast" do
    ratio = ->(template) { Sandbag::Circuit::Template.sheet(template).value("vehicle", "drive_ratio") }
    expect(%w[snow_jackshaft snow_driveshaft kart_rear].map(&ratio)).to eq [2.4, 1, 1]
  end

  it "tells each owner what is of that kind and of that fluid" do
    said = ->(section, template, family) {
      Sandbag::Close::OwnerLines.of(section, Sandbag::Circuit::Template.sheet(template).kind, family).join(" ")
    }
    expect(said["watch", "bike_front", "mineral"]).to include("20 mm", "filled with oil")
    expect(said["watch", "bike_front", "mineral"]).not_to include "paint"
    expect(said["watch", "kart_rear", "glycol"]).to include("Before each session", "takes paint off")
    expect(said["ride", "snow_jackshaft", nil]).to include("packed snow", "Stop at once")
    expect(said["watch", "road_rear", nil]).to eq "Any wetness at the lever, along the hose, or at the wheel."
    expect(said["ride", "road_clutch", "glycol"]).to include "nobody behind you"
  end

  Sandbag::Tables.rows("circuit_templates").each do |row|
    it "starts #{row["id"].tr("_", " ")} from what its kind usually has: the Sizer rejects nothing, no bore is odd" do
      sheet = Sandbag::Circuit::Template.sheet(row["id"])
      fitted = Sandbag::Choose::Sizing.new(sheet, sizes: []).to_h[:rows].first
      expect(fitted[:rejected]).to be_empty
      expect(sheet.kind.odd_bore(sheet.value("master", "bore"))).to be_nil
    end
  end
end
