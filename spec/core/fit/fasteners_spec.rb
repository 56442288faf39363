# frozen_string_literal: true

# What was taken out is what is tightened, and nothing that stayed in.
RSpec.describe Sandbag::Fit::Torques do
  # Threaded parts of the constructions, and the line of the torque list that each goes back by.
  lines_of = {
    "pivot_bolt" => "pivot_bolt", "pivot_screw" => "pivot_bolt", "pivot_nut" => "pivot_nut", "rod_nut" => "rod_nut",
    "pedal_rod" => "rod_nut", "clamp_bolt" => "clamp", "mount_bolt" => "mount", "frame_bolt" => "mount",
    "slave_bolt" => "slave", "body_bolt" => "body_bolt", "slide_pin" => "slide_pin", "bracket" => "caliper_bolt",
    "switch_screw" => "switch_screw", "lid_screw" => "lid_screw", "bracket_bolt" => "res_bracket",
    "grub_screw" => "grub", "stop_screw" => "stop_screw", "front_screw" => "stop_screw", "banjo_bolt" => "banjo",
    "hose_nut" => "comp_nut", "nipple" => "nipple"
  }

  def circuit_of(construction)
    return far_end_of(construction) if construction.caliper || construction.id.include?("slave")
    kind = Sandbag::Tables.rows("circuit_templates").find do |row|
      Sandbag::Circuit::Template.sheet(row["id"]).value("master", "construction") == construction.id
    end
    other = (construction.id == "bike_pin_circlip") ? "bike_front" : "road_front_single"
    plain = Sandbag::Circuit::Template.filled(kind ? kind["id"] : other)
    plain.set("master", "construction", construction.id, "part_marking")
  end

  def far_end_of(construction)
    return Sandbag::Circuit::Template.filled("bike_rear") if construction.caliper == "bicycle"
    if construction.caliper
      twin = Sandbag::Circuit::Template.filled("road_front_twin")
      return twin.far_ends.reduce(twin) do |now, part|
        now.change(part["id"], "build", construction.caliper, "measured")
      end
    end
    clutch = Sandbag::Circuit::Template.filled("road_clutch")
    clutch.set("slave", "construction", construction.id, "part_marking")
  end

  def stripped(sheet, route, fluid)
    job = JobInMemory.new(sheet)
    job.answer_stops
    job.add("ask", "route", {"route" => route})
    job.work_everywhere
    job.choose_what_is_wanted(fluid)
    job.compare_all.set_up.strip_all
  end

  Sandbag::Cylinder::Construction.all.each do |construction|
    Sandbag::Job::Route.all.select(&:part).each do |route|
      it "#{construction.label}, #{route.label.downcase}: has a line for each threaded part that is out, and no more" do
        sheet = circuit_of(construction)
        next unless route.suits?(sheet.kind)
        job = stripped(sheet, route.id, sheet.value("fluid", "stamped"))
        strip = job.state.strip
        out = strip.done_steps.flat_map(&:takes).select { |part| part.stays? || strip.out?(part.id) }.map(&:plain).uniq
        lines = job.state.fit.torques.lines.map { |line| line.fastener["id"] }.uniq
        wanted = lines_of.values_at(*out).compact
        expect(lines).to include(*wanted)
        stayed = lines_of.except(*out).slice(*strip.work.parts.map(&:plain)).values
        expect(lines & (stayed - wanted)).to be_empty
      end
    end
  end

  it "takes the clamp off the list where the unit was worked on its bar" do
    job = JobInMemory.new(Sandbag::Circuit::Template.filled("road_front_single"))
    job.answer_stops
    job.laid_out.set_up
    job.add("strip", "step", {"step" => job.state.strip.step.id}) until job.state.strip.step.id == "clamp"
    expect(job.state.fit.torques.line("clamp")).to be_nil
    job.add("strip", "skipped", {"step" => "clamp", "reason" => "worked on the bar"})
    expect(job.state.fit.torques.line("clamp")).to be_nil
  end

  it "wants a service figure for body bolts and slide pins, of each caliper by its own name" do
    twin = far_end_of(Sandbag::Cylinder::Construction.find("caliper_opposed"))
    bolts = stripped(twin, "slave_work", "dot4").state.fit.torques.lines.select do |line|
      line.fastener["id"] == "body_bolt"
    end
    expect(bolts.map { |line| [line.label, line.range, line.turns] })
      .to eq [["Body bolts: left caliper", nil, nil], ["Body bolts: right caliper", nil, nil]]
  end

  it "asks for a pad pin's figure only where no clip holds it" do
    job = stripped(far_end_of(Sandbag::Cylinder::Construction.find("caliper_sliding")), "slave_work", "dot4")
    clip = "pin_clip@caliper_left"
    pins = -> { job.state.fit.torques.lines.map(&:id).grep(/pad_pin/) }
    expect(pins[]).to be_empty
    job.add("strip", "counted", {"part" => clip, "count" => 0})
    expect(pins[]).to eq ["pad_pin.caliper_left"]
  end
end
