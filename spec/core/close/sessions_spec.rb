# frozen_string_literal: true

RSpec.describe Sandbag::Close::Sessions do
  # A kart's pedal brake whose fluid was changed on a known day, looked at again after its first session.
  def job(changed_on: "2026-03-01", template: "kart_rear", use: "race", kind: "kart")
    @job ||= begin
      filled = Sandbag::Circuit::Template.filled(template).set("fluid", "changed_on", changed_on, "measured")
      JobInMemory.new(filled, machine_kind: kind, machine_use: use).tap do |worked|
        worked.answer_stops
        worked.add("ask", "route", {"route" => "recheck"})
      end
    end
  end

  def session(**data)
    job.add("close", "session", data.transform_keys(&:to_s))
  end

  def sessions
    job.state.close.sessions
  end

  it "holds nothing up before the first one, and lists what was driven" do
    expect(job.view("close")[:sessions]).to include(items: [], minutes: 0, noun: "pedal")
    expect(job.state.close.gate_called("sessions")).to be_nil
    session(minutes: 12, celsius: 95, felt: "same")
    session(minutes: 8.5, felt: "same")
    expect(job.view("close")[:sessions]).to include(minutes: 20.5, hottest_c: 95)
    expect(job.view("close")[:sessions][:items].map { |item| item[:says] })
      .to eq ["12 min, 95 °C at the caliper, the pedal as before", "8.5 min, the pedal as before"]
    expect(job.state.close.gate_called("sessions").state).to eq :met
  end

  it "holds the release over a pedal that went softer, until a session leaves it as before" do
    session(felt: "softer")
    expect(job.state.close.gate_called("sessions"))
      .to have_attributes(state: :open, why: a_string_starting_with("the pedal went softer or longer"))
    session(felt: "same")
    expect(job.state.close.gate_called("sessions").state).to eq :met
  end

  it "goes by the fluid's boiling point at its age, by its humid one where the age is unknown" do
    fresh = sessions.boils_c
    old = Sandbag::Close::Sessions.new(
      JobInMemory.new(job.fitted.set("fluid", "changed_on", "2024-03-01", "measured"), entries: job.entries).state,
      job.state.close.entries
    ).boils_c
    fluid = Sandbag::Tables.find("fluids", job.fitted.value("fluid", "stamped"))
    expect(old).to be < fresh
    expect(fresh).to be_between(fluid["wet_c"], fluid["dry_c"]).exclusive
    unknown = Sandbag::Close::Sessions.new(
      JobInMemory.new(job.fitted.set("fluid", "changed_on", "unknown", "measured"), entries: job.entries).state,
      job.state.close.entries
    )
    expect(unknown.boils_c).to eq fluid["wet_c"]
  end

  it "is over the boiling point from there on, whatever a later session was like" do
    boils = sessions.boils_c
    session(celsius: boils.floor - 1, felt: "same")
    expect(sessions.fault).to be_nil
    session(celsius: boils.ceil, felt: "same")
    session(celsius: 80, felt: "same")
    expect(sessions.fault).to include("may boil", "a full change of fluid")
  end

  both_sides "Close::Sessions::HOT_C", 30.5 => false, 29.5 => true do |under|
    session(celsius: sessions.boils_c - under, felt: "same")
    !sessions.hot.nil?
  end

  it "is kept of what is driven on a track or used hard, and of nothing else" do
    job(template: "road_front_twin", kind: "road", use: "daily")
    expect(job.view("close")).not_to have_key(:sessions)
    expect { session(felt: "same") }.to raise_error(Sandbag::Refusal, /no sessions are kept/)
  end
end
