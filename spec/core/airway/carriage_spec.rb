# frozen_string_literal: true

# Whether a method moves the air of a line, by hand: docs/physics.md 6.
RSpec.describe Sandbag::Airway::MethodTable do
  methods = Sandbag::Tables.rows("bleed_methods")

  def template(id)
    Sandbag::Circuit::Template.sheet(id)
  end

  # One hose of some bore that climbs over a loop before it falls to the caliper.
  def looped(high, bore: 3.2, id: "road_front_single")
    circuit = template(id).set("fluid", "stamped", "dot4", "part_marking")
    line = circuit.parts_of("line").first["id"]
    circuit.change(line, "high_spot", high, "measured").change(line, "bore", bore, "measured")
  end

  def table(circuit, **given)
    described_class.new(circuit, **given).to_h
  end

  def verdict(circuit, method, **given)
    table(circuit, **given)[:methods].find { |row| row[:id] == method }
  end

  def stroke_ml(circuit)
    Sandbag::Circuit::Assembly.build(circuit).volume_per_stroke_ml
  end

  describe "one leg" do
    # hold_cycle: a stroke in 1 s, then 2 s until the next
    {3.2 => ["carried", 0.0], 4.8 => ["carried", 9.08], 5.5 => ["too_slow", 21.2], 6.0 => ["comes_back", 31.9],
     8.0 => ["stalls", 70.1]}
      .each do |bore, (state, drift)|
        it "of #{bore} mm falling from a loop: #{state}" do
          circuit = looped(1150, bore: bore)
          leg = verdict(circuit, "hold_cycle")[:legs].first.last
          speed = 1000 * stroke_ml(circuit) / (Math::PI * bore**2 / 4)
          expect(leg[:flow_mm_s]).to be_within(1e-6).of(speed)
          expect(leg[:drift_mm_s]).to be_within(0.05).of(drift)
          expect(leg[:state]).to eq state
          net = 1.2 * speed - drift
          by_hand = if net <= 0
            "stalls"
          elsif net <= 2 * drift
            "comes_back"
          else
            strokes = 1 + ((475 - net) / (net - 2 * drift)).ceil
            up = 1 # what climbs to the loop goes with the flow
            (strokes + up <= leg[:planned_ml] / stroke_ml(circuit)) ? "carried" : "too_slow"
          end
          expect(by_hand).to eq state
        end
      end

    it "that falls from the master in 6 mm: strokes lose it, and it rises to the port by itself in 24 s" do
      circuit = template("road_front_single").set("fluid", "stamped", "dot4", "part_marking")
      wide = circuit.change(circuit.parts_of("line").first["id"], "bore", 6.0, "measured")
      row = verdict(wide, "hold_cycle")
      leg = row[:legs].first.first
      expect(leg[:rises_s]).to be_within(1e-9).of(950 / leg[:drift_mm_s])
      expect(row).to include(verdict: "suitable", rises_s: leg[:rises_s])
      expect(row[:why]).to start_with "Front hose: rises by itself to the master's port in 24 s. Flow 53 mm/s"
    end

    it "of which the cup draws back through an open tube what its lip stands against the column" do
      circuit = template("road_front_single").set("fluid", "stamped", "dot4", "part_marking")
      way = Sandbag::Airway::Way.all(circuit).first
      drive = way.drive(Sandbag::Tables.find("bleed_methods", "jar_open"))
      column = 1050 * 9.80665 * 0.81 * 1e-6
      through = (0.01 - column) / Sandbag::Hydraulics::Flow.resistance_mpa_s_ml(drive.segments.map(&:last), way.fluid)
      expect(drive.back_ml).to be_within(0.02).of(through * 1.5)
      expect(way.drive(Sandbag::Tables.find("bleed_methods", "check_valve")).back_ml).to eq 0
    end

    it "is not carried by one push of pistons home, which moves 4 mL of its 7.6 and takes them back" do
      row = verdict(template("road_front_single").set("vehicle", "abs", "none", "measured"), "push_back")
      expect(row[:verdict]).to eq "leaves_air"
      expect(Sandbag::Said.plain(row[:why])).to include "that takes 8 mL, and 4 mL are planned"
    end
  end

  describe "a circuit" do
    it "with a plain front line: every whole method carries, and what only primes the outlet moves nothing below" do
      rows = table(template("road_front_single").set("vehicle", "abs", "none", "measured"))[:methods]
      whole = rows.reject { |row| row[:aid] }
      expect(whole.map { |row| row[:verdict] }.uniq).to eq ["suitable"]
      expect(rows.find { |row| row[:id] == "prime_outlet" }).to include(verdict: "leaves_air", place: "Master outlet")
      expect(rows.first[:id]).to eq "hold_cycle"
    end

    it "with a loop over the reservoir: gravity does not start until the loop is pulled down" do
      row = verdict(looped(1150), "gravity_start")
      expect(row).to include(verdict: "workable", place: "Front hose, high spot", changes: ["loop_down"])
      expect(verdict(looped(1150), "gravity_start", loop_down: true)[:verdict]).to eq "suitable"
      expect(verdict(looped(1150), "gravity_start", raised_mm: 120)[:verdict]).to eq "suitable"
      expect(verdict(looped(1150), "hand_vacuum")[:verdict]).to eq "suitable"
    end

    it "with a wide loop: strokes stall at the high spot, unless it is pulled down; pressure carries" do
      row = verdict(looped(1150, bore: 8.0), "hold_cycle")
      expect(row).to include(verdict: "workable", place: "Front hose, high spot", changes: ["loop_down"])
      expect(row[:why]).to match(/stays put\. Flow \d+ mm\/s; a slug rises by itself at 70\.\d mm\/s/)
      expect(verdict(looped(1150, bore: 8.0), "pressure_cap")[:verdict]).to eq "suitable"
    end

    it "whose port is not at the top: 0.884 mL stay at 60°, unless the caliper is turned" do
      circuit = template("road_front_single")
      circuit = circuit.change(circuit.far_ends.first["id"], "port_angle", 60, "measured")
      row = verdict(circuit, "hold_cycle")
      expect(row).to include(verdict: "workable", place: "Front caliper", changes: ["turned"])
      expect(Sandbag::Said.plain(row[:why])).to include "0.88 mL stay in it"
      expect(verdict(circuit, "caliper_in_hand")[:verdict]).to eq "suitable"
      expect(verdict(circuit, "hold_cycle", turned: true)[:verdict]).to eq "suitable"
    end

    it "of a bicycle: its two syringes, no vacuum pump, which is too strong for so small a system" do
      found = table(template("bike_front"))
      expect(found[:methods].map { |row| row[:id] }).to match_array %w[hold_cycle two_syringe caliper_in_hand]
      expect(found[:barred].find { |row| row[:id] == "hand_vacuum" }[:why]).to include "very small bicycle systems"
    end

    it "of a clutch: pushed up from the slave, the air goes the way it rises" do
      row = verdict(template("road_clutch"), "reverse_syringe")
      expect(row).to include(verdict: "suitable", reverse: true)
    end

    it "with ABS, or where nobody knows: nothing is pushed backwards; its own tool only where it is on hand" do
      abs = template("road_front_single").set("vehicle", "abs", "fitted", "service_info")
      expect(described_class.new(abs).usable.select { |row| row["reverse"] }).to be_empty
      expect(described_class.new(abs).usable.map { |row| row["id"] }).not_to include "abs_electronic"
      expect(described_class.new(abs, tool: true).usable.map { |row| row["id"] }).to include "abs_electronic"
    end

    it "of a sledge in the cold: silicone thickens two and a half times, and everything flows slower" do
      circuit = template("snow_jackshaft").set("fluid", "stamped", "dot5", "part_marking")
      warm, cold = [20, -20].map { |celsius| verdict(circuit, "hand_vacuum", celsius: celsius) }
      # the kinetic head takes the more, the quicker it flows
      expect(warm[:flow_ml_s] / cold[:flow_ml_s]).to be_between(2.3, 2.5)
    end

    it "with two calipers is judged by the worse of its ways" do
      circuit = template("road_front_twin")
      line = circuit.parts_of("line").last["id"]
      found = table(circuit.change(line, "high_spot", 1200, "measured"))
      expect(found[:ways].size).to eq 2
      expect(found[:methods].find { |row| row[:id] == "gravity_start" }[:verdict]).to eq "workable"
    end

    it "is judged alike in whatever order its lines are listed" do
      plain = template("atv_front").to_h
      turned = plain.merge("parts" => plain["parts"].reverse)
      one, other = [plain, turned].map { |parts| table(Sandbag::Circuit::Sheet.new(parts)) }
      expect(one[:methods].map { |row| row.slice(:id, :verdict, :place) }).to match_array(
        other[:methods].map { |row| row.slice(:id, :verdict, :place) }
      )
    end

    it "has a verdict for every method and template, each with the leg that decides" do
      Sandbag::Tables
        .rows("circuit_templates")
        .each do |row|
          found = table(template(row["id"]))
          expect(found[:methods].map { |each| each[:id] } + found[:barred].map { |each| each[:id] }).to match_array(
            methods.map { |each| each["id"] }
          )
          expect(found[:methods].map { |each| each[:why] }).to all(match(%r{mm/s|stay in it|runs over}))
          expect(found[:methods].reject { |each| each[:verdict] == "suitable" }.map { |each| each[:place] }).to all(
            be_a(String)
          )
        end
    end
  end

  it "flows no faster the colder it is, and no slower the wider the nipple" do
    for_all(cold: -20.0..19.0, bore: 2.0..8.0) do |cold:, bore:|
      circuit = looped(1150, bore: bore)
      %w[hand_vacuum pressure_cap caliper_in_hand].each do |method|
        warm, chilled = [20.0, cold].map { |celsius| verdict(circuit, method, celsius: celsius)[:flow_ml_s] }
        expect(chilled).to be <= warm + 1e-9
        narrow, wide = %w[eighth half].map { |opening| verdict(circuit, method, opening: opening)[:flow_ml_s] }
        expect(wide).to be >= narrow - 1e-9
      end
    end
  end

  it "lets a bubble rise no slower in a leg whose end is raised" do
    for_all(low: 300.0..700.0, up: 0.0..250.0, bore: 3.4..8.0) do |low:, up:, bore:|
      plain = template("road_front_single").set("fluid", "stamped", "dot4", "part_marking")
      line = plain.parts_of("line").first["id"]
      fell, raised = [low, low + up].map do |height|
        changed = plain.change(line, "bore", bore, "measured").change(line, "end_height", 1200 - height, "measured")
        verdict(changed, "gravity_raised")[:legs].first.first[:drift_mm_s]
      end
      expect(raised).to be >= fell
    end
  end

  it "carries at any higher speed what it carries at some, and a wider nipple never makes a verdict worse" do
    for_all(bore: 2.0..8.0, high: 1050.0..1400.0) do |bore:, high:|
      circuit = looped(high, bore: bore)
      %w[hand_vacuum pressure_cap gravity_start].each do |method|
        narrow, wide = [nil, "half"].map { |opening| verdict(circuit, method, opening: opening) }
        expect(described_class::RANKS.index(wide[:verdict])).to be <= described_class::RANKS.index(narrow[:verdict])
      end
    end
  end
end
