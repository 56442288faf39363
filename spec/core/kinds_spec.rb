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

  Sandbag::Tables.rows("circuit_templates").each do |row|
    it "starts #{row["id"].tr("_", " ")} from what its kind usually has: the Sizer rejects nothing, no bore is odd" do
      sheet = Sandbag::Circuit::Template.sheet(row["id"])
      fitted = Sandbag::Choose::Sizing.new(sheet, sizes: []).to_h[:rows].first
      expect(fitted[:rejected]).to be_empty
      expect(sheet.kind.odd_bore(sheet.value("master", "bore"))).to be_nil
    end
  end
end
