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

  # s suitable, w workable if something is changed first, x leaves air, n not for this line, - not used on it; in the
  # order of the table:
  # hold_cycle check_valve hand_vacuum reverse_syringe two_syringe pump_crack power_vacuum pressure_cap gravity_start
  # gravity_flush gravity_raised bottom_up_added caliper_in_hand jar_open prime_outlet push_back abs_electronic
  #
  # By hand: glycol at 20 °C arrests a slug below 3.38 mm, so that a 3.2 mm hose gives nothing up by itself (only what
  # flows carries: no raised hose, no burp at the master), and a 6 mm pipe lets one rise at 31.9 mm/s.
  {
    # 1.49 mL a stroke is 185 mm/s in 3.2 mm: whatever flows carries. Pistons pressed home move 4 mL once, of a line of
    # 7.6. A dry line is filled first
    "dry master, plain front line" => [plain, {line: "dry"}, "nsss-nsssnx-ssxx-", {}],
    # 150 mm over the outlet, the reservoir's level 40 mm: nothing fills an empty line over it; a full one siphons
    "high loop over the headstock" => [with(plain, line(plain), high_spot: 1150), {}, "ssss-ssswsx-ssxx-",
      {"gravity_start" => "Front hose, high spot", "prime_outlet" => "Front hose, high spot"}],
    # 1.49 mL a stroke is 53 mm/s in 6 mm: 1.2 × 53 − 31.9 = 31 mm in the second of a stroke, of a leg of 475 mm, and
    # 64 mm back in the two seconds between: it comes back. A syringe of 30 mL at 1 mL/s takes 67 mL where 52 are
    # planned. Tied down, all of the way rises to the master's port by itself
    "the same loop in a 6 mm pipe" => [with(plain, line(plain), high_spot: 1150, bore: 6.0), {}, "wwsw-wsswsw-wwww-",
      {"hold_cycle" => "Front hose, high spot", "push_back" => "Front hose, high spot"}],
    "3.2 mm flush, twin discs" => [template("road_front_twin"), {}, "sss--sssssx-ssxx-", {}],
    "bicycle, 2 mm line" => [template("bike_front", "mineral"), {}, "s---s-------s----", {}],
    "clutch with its slave nipple below" => [template("road_clutch"), {}, "ssss-sssssx--sx--", {}],
    # 60 mm over the outlet, more than the reservoir's 40: it has to be pulled down
    "scooter with a long rear line" => [with(long, line(long), length: 1900, high_spot: 1060), {},
      "ssss-ssswsx-ssxx-", {"gravity_start" => "Rear hose, high spot"}],
    # silicone at −20 °C is two and a half times as thick: a slug creeps at 0.03 mm/s in 3.2 mm
    "snowmobile in the cold" => [template("snow_jackshaft", "dot5"), {celsius: -20}, "ssss-sssssx-ssxx-", {}],
    # nothing is pushed backwards, and nothing primed where the master was not opened
    "ABS" => [template("road_front_single", abs: "fitted"), {}, "sss--sssssx-ss---", {}],
    "two calipers on a splitter, one behind a loop" => [
      with(split, split.parts_of("line").last["id"], high_spot: 1100), {}, "sss--ssswsx-ssxx-",
      {"gravity_start" => "Right hose, high spot"}
    ],
    # 12 mm × 10 mm at 60°: 0.884 mL stay, unless the caliper is turned
    "caliper whose nipple is not on top" => [with(plain, far_end, port_angle: 60), {}, "wwww-wwwwwx-swxx-",
      {"hold_cycle" => "Front caliper", "jar_open" => "Front caliper"}],
    # 8 mm lets a slug rise at 80.6 mm/s where it slopes; 1.9 mL a stroke is 38 mm/s there. The line falls 300 mm: the
    # cup draws all of a stroke back through the open tube
    "remote reservoir with a sagging feed hose" => [remote, {}, "wwsw-wsswwx-wxxx-",
      {"hold_cycle" => "Master, under its feed hose", "reverse_syringe" => "Master, under its feed hose"}],
    "hand master added to a foot circuit" => [template("hand_rear_added"), {}, "sss--sssss-ss-x--", {}]
  }.each do |name, (circuit, given, expected, places)|
    describe name do
      let(:table) { described_class.new(circuit, **given).to_h }
      let(:rows) { table[:methods].to_h { |row| [row[:id], row] } }

      it "comes out by hand as by the table" do
        letters = {"suitable" => "s", "workable" => "w", "leaves_air" => "x", "not_for" => "n"}
        found = every.to_h { |id| [id, rows.key?(id) ? letters.fetch(rows[id][:verdict]) : "-"] }
        expect(found).to eq every.zip(expected.chars).to_h
        places.each { |id, place| expect(rows[id]).to include(place: place) }
      end

      it "traces each claim that air stays to the leg and its two speeds, the pocket, or what nothing runs over" do
        ways = Sandbag::Airway::Way.all(circuit, **given.except(:line))
        rows.each_value do |row|
          next if %w[suitable not_for].include?(row[:verdict])
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
        next unless found && %w[stalls comes_back too_slow stays].include?(found[:state])
        upper = [leg.from, leg.to].max_by(&:height_mm).label
        slower = 1.2 * found[:flow_mm_s] <= found[:drift_mm_s]
        decides = {
          "stalls" => slower, "comes_back" => !slower, "stays" => found[:flow_mm_s].zero?,
          "too_slow" => !slower && found[:needed_ml].to_f > found[:planned_ml].to_f
        }
        decides.fetch(found[:state]) && upper == row[:place]
      end
    end
  end

  def pocket?(way, row)
    row[:place] == way.end_label && way.profile.pocket_ml > 0.01
  end

  def held?(way, row)
    highest = way.profile.outward.max_by(&:height_mm)
    over = highest.height_mm - way.profile.master.height_mm
    row[:flow_ml_s] >= 0 && row[:place] == highest.label && over > way.profile.level_mm
  end
end
