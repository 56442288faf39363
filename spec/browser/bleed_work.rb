# frozen_string_literal: true

require_relative "close_work"

# Bleed and Feel by keys, and on to the signature: the twin discs of the demonstration, or any circuit.
module BleedWorkByHand
  include CloseWorkByHand

  # From the first reading to the signature.
  def read_and_sign
    expect(session).to have_css("input[name='force']")
    # a gauge that types digits and Enter walks through the fields by itself
    read_lever
    expect(session).to have_css("[role=status]", text: "Pass")
    press :escape, "h"
    press "0.5", :enter
    expect(session).to have_content("Holds")
    session.click_link "Go on to Close"

    # Close
    expect(session).to have_button("Sign and release", disabled: true)
    release
  end

  def bleed_point(strokes)
    count_strokes(strokes)
    expect(session).to have_no_content("on the bench before the first stroke")
    press "t", "c", "c", "c", "c"
    expect(session).to have_css("[role=radio][aria-checked=true], label[data-selected]", text: "As fresh")
    expect(session).to have_button("Point finished", disabled: false)
    press "f"
  end

  # From "Before fluid moves" to the lever, the last figures of Fit between them.
  # @yieldparam point [Hash] that is bled now
  def bleed_and_finish_fitting
    answer_looks "Before fluid moves"
    stage_now("bleed")["points"].each do |point|
      yield point if block_given?
      bleed_point(point["strokes_to_go"])
    end
    answer_looks "Last"
    finish_fitting
  end

  def finish_fitting
    session.click_link "Finish the fitting"
    fit_by_hand
    session.click_link "Go on to Feel"
  end

  def read_lever
    front = twin_disc
    expect(session).to have_content("Next: pull")
    press "n"
    [5, 8, 12, 20, 35, 60, 90].each do |force|
      press force.to_s, :enter
      press front.travel_mm(front.pressure_mpa(force), air_ml: 0.02).round(1).to_s, :enter
    end
  end

  # Strokes of every point, topped up whenever the reservoir asks.
  def bleed_every_point
    answer_looks "Before fluid moves"
    stage_now("bleed")["points"].each do |point|
      count_strokes(point["strokes_to_go"])
      press "t", "c", "c", "c", "c"
      expect(session).to have_button("Point finished", disabled: false)
      press "f"
      until_api { stage_now("bleed")["points"].find { |each| each["id"] == point["id"] }["done"] }
    end
    answer_looks "Last"
  end

  # Readings of the circuit with hardly any air in it, beside the page, and the hold by hand.
  def read_and_hold
    sheet = Sandbag::Circuit::Sheet.new(shown(job_id_now, "choose")["sheet"])
    circuit = Sandbag::Circuit::Assembly.build(sheet)
    reference = Sandbag::Circuit::Reference.force_n(sheet, circuit)
    forces =
      Sandbag::Feel::LowForces.of(circuit).first(4) + [0.42, 0.62, 0.82, 1.0].map { |share| (share * reference).round }
    forces.each do |force|
      add_entry(
        "feel",
        "reading",
        {force: force, travel: circuit.travel_mm(circuit.pressure_mpa(force), air_ml: 0.002).round(2)}
      )
    end
    add_entry("feel", "hold", {creep: 0.3})
    session.refresh
  end

  # As long as such hoses usually are, where the record has no length.
  def measure_hoses
    stage_now("choose")["hoses"].reject { |hose| hose["known"] }
      .each { |hose| add_entry("choose", "hose", {line: hose["id"], length: hose["length_mm"]}) }
  end

  def add_entry(stage, kind, data)
    post("/jobs/#{job_id_now}/entries", {id: SecureRandom.uuid, stage: stage, kind: kind, data: data})
  end
end
