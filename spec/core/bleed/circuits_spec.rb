# frozen_string_literal: true

# Thirteen circuits against every bleeding method, worked by hand (physics.md 6), and each claim traced to what
# decides it.
RSpec.describe Sandbag::Airway::MethodTable, "of circuits" do
  every = Sandbag::Tables.rows("bleed_methods").map { |row| row["id"] }

  def self.template(id, fluid = "dot4", abs: "none")
    sheet = Sandbag::Circuit::Template.sheet(id).set("fluid", "stamped", fluid, "part_marking")
    sheet.clutch? ? sheet : sheet.set("vehicle", "abs", abs, "service_info")
  end

  def self.with(sheet, part, values)
    values.reduce(sheet) { |changed, (field, value)| changed.change(part, field.to_s, value, "measured") }
  end

  def self.line(sheet, place = 0)
    sheet.parts_of("line")[place]["id"]
  end

  plain = template("road_front_single")
  remote = with(template("road_rear"), "reservoir", feed_low: 250, height: 480)
  split = template("road_front_split")
  long = template("scooter_rear")
  far_end = plain.far_ends.first["id"]

  # s suitable, w workable if something is changed first, x leaves air, - not used on it; in the order of the table:
  # hold_cycle check_valve hand_vacuum reverse_syringe two_syringe pump_crack power_vacuum pressure_cap gravity_start
  # gravity_flush gravity_raised bottom_up_added caliper_in_hand jar_open prime_outlet push_back abs_electronic
  #
  # By hand: glycol at 20 °C arrests a slug below 3.38 mm, so that a 3.2 mm hose gives nothing up by itself (only what
  # flows carries: no raised hose, no burp at the master), and a 6 mm pipe lets one rise at 31.9 mm/s.
  {
    # 1.55 mL a stroke is 192 mm/s in 3.2 mm: whatever flows carries
    "dry master, plain front line" => [plain, {dry: true}, "sss--sssssx-ssxs-", {}],
    # 150 mm over the outlet, the reservoir's level 40 mm: nothing runs over it by itself
    "high loop over the headstock" => [with(plain, line(plain), high_spot: 1150), {}, "sss--ssswwx-ssxs-",
      {"gravity_start" => "Front hose, high spot", "prime_outlet" => "Front hose, high spot"}],
    # 1.55 mL a stroke is 55 mm/s in 6 mm: 1.2 × 55 − 31.9 = 34 mm in the second of a stroke, of a leg of 475 mm, and
    # 64 mm back in the two seconds between: it comes back. Pressed pistons: 4 mL at 0.5 mL/s is 17.7 mm/s, which stalls
    # in the leg that climbs to the loop; tied down, all of the way rises towards the master
    "the same loop in a 6 mm pipe" => [with(plain, line(plain), high_spot: 1150, bore: 6.0), {}, "xxs--xssw" \
      "wx-sxxw-", {"hold_cycle" => "Front hose, high spot", "push_back" => "Front hose, high spot"}],
    "3.2 mm flush, twin discs" => [template("road_front_twin"), {}, "sss--sssssx-ssxs-", {}],
    "bicycle, 2 mm line" => [template("bike_front", "mineral"), {}, "s---s-------s----", {}],
    "clutch with its slave nipple below" => [template("road_clutch"), {}, "ssss-sssssx--sx--", {}],
    # 60 mm over the outlet, more than the reservoir's 40: it has to be pulled down
    "scooter with a long rear line" => [with(long, line(long), length: 1900, high_spot: 1060), {},
      "sss--ssswwx-ssxs-", {"gravity_flush" => "Rear hose, high spot"}],
    # silicone at −20 °C is eight times as thick: a slug creeps at 0.1 mm/s in 3.2 mm, and the slowest flow is 3 mm/s
    "snowmobile in the cold" => [template("snow_jackshaft", "dot5"), {celsius: -20}, "sss--sssssx-ssxs-", {}],
    # nothing is pushed backwards, and nothing primed where the master was not opened
    "ABS" => [template("road_front_single", abs: "fitted"), {}, "sss--sssssx-ss---", {}],
    "two calipers on a splitter, one behind a loop" => [
      with(split, split.parts_of("line").last["id"], high_spot: 1100), {}, "sss--ssswwx-ssxs-",
      {"gravity_start" => "Right hose, high spot"}
    ],
    # 12 mm × 10 mm at 60°: 0.884 mL stay, unless the caliper is turned
    "caliper whose nipple is not on top" => [with(plain, far_end, port_angle: 60), {}, "www--wwwwwx-swxw-",
      {"hold_cycle" => "Front caliper", "push_back" => "Front caliper"}],
    # 8 mm lets a slug rise at 70.1 mm/s; 2.0 mL a stroke is 40 mm/s there, the vacuum's 11.3 mL/s is 225
    "remote reservoir with a sagging feed hose" => [remote, {}, "wwsw-wsswwx-wwxw-",
      {"hold_cycle" => "Master, under its feed hose", "reverse_syringe" => "Master, under its feed hose"}],
    "hand master added to a foot circuit" => [template("hand_rear_added"), {}, "sss--sssss-ss-x--", {}]
  }.each do |name, (circuit, given, expected, places)|
    describe name do
      let(:table) { described_class.new(circuit, **given).to_h }
      let(:rows) { table[:methods].to_h { |row| [row[:id], row] } }

      it "comes out by hand as by the table" do
        letters = {"suitable" => "s", "workable" => "w", "leaves_air" => "x"}
        found = every.to_h { |id| [id, rows.key?(id) ? letters.fetch(rows[id][:verdict]) : "-"] }
        expect(found).to eq every.zip(expected.chars).to_h
        places.each { |id, place| expect(rows[id]).to include(place: place) }
      end

      it "traces each claim that air stays to the leg and its two speeds, the pocket, or what nothing runs over" do
        ways = Sandbag::Airway::Way.all(circuit, **given.except(:dry))
        rows.each_value do |row|
          next if row[:verdict] == "suitable"
          traced = ways.any? do |way|
            held?(way, row) || pocket?(way, row) || leg?(way, row)
          end
          expect(traced).to be(true), "#{row[:id]}: #{row[:place]}"
        end
      end
    end
  end

  # What a hand would look at, worked again from the record and the two speeds.
  def leg?(way, row)
    row[:legs].any? do |legs|
      way.profile.legs.zip(legs).any? do |leg, found|
        next unless found && %w[stalls comes_back stays].include?(found[:state])
        upper = [leg.from, leg.to].max_by(&:height_mm).label
        slower = 1.2 * found[:flow_mm_s] <= found[:drift_mm_s]
        {"stalls" => slower, "comes_back" => !slower, "stays" => found[:flow_mm_s].zero?}.fetch(found[:state]) &&
          upper == row[:place]
      end
    end
  end

  def pocket?(way, row)
    row[:place] == way.end_label && way.profile.pocket_ml > 0.01
  end

  def held?(way, row)
    highest = way.profile.outward.max_by(&:height_mm)
    row[:flow_ml_s] >= 0 && row[:place] == highest.label && highest.height_mm - way.profile.master.height_mm > 40
  end
end
