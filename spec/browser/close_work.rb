# frozen_string_literal: true

# Close by hand: walking round the machine to the signature.
module CloseWorkByHand
  # The second leak watch is done by touch, eleven minutes after the first one.
  def walk_round
    first_leak_watch
    settle_the_record
    shown(close_job, "close")["places"].each { |place| confirm_place(place["label"]) }
  end

  def release
    alone_on_the_circuit
    walk_round
    name_person "Name", "R. Tarn"
    session.click_button "Sign and release"
    expect(session).to have_content("Signed off")
  end

  def close_job
    session.current_path.split("/")[2]
  end

  # The demonstration has a job under way on this circuit, which would have to be finished first.
  def alone_on_the_circuit
    Sequel.sqlite(served.database) do |database|
      circuit = database[:jobs].where(id: close_job).select(:circuit_id)
      others = database[:jobs].where(circuit_id: circuit, closed_at: nil).exclude(id: close_job).select_map(:id)
      database[:entries].where(job_id: others).delete
      database[:jobs].where(id: others).delete
    end
  end

  def first_leak_watch
    post("/jobs/#{close_job}/entries",
      {id: SecureRandom.uuid, stage: "close", kind: "leak", data: {value: "dry"}})
    served.pass_minutes(11)
    session.refresh
  end

  def settle_the_record
    session.click_button "Second watch: dry"
    expect(session).to have_content("Dry twice")
    session.fill_in "Batch on the bottle", with: "L 2604\n" if open_gates.any? { |gate| gate["id"] == "batch" }
    session.find("[aria-label^='Re-check on ']").click
    expect(session).to have_no_css("[aria-label^='Re-check on ']")
    open_gates.filter_map { |gate| gate["by_name"] }.each { |label| name_person label, "M. Beck" }
  end

  # What the page shows open, as the server has it.
  def open_gates
    shown(close_job, "close")["gates"].reject { |gate| gate["met"] }
  end

  # Many by one tap where there are several.
  def confirm_place(label)
    place = folding(label)
    id = shown(close_job, "close")["places"].find { |each| each["label"] == label }["id"]
    by_hand = open_gates.select { |gate| gate["place"] == id && gate["settled"] == "confirmed" && gate["by_name"].nil? }
    together, alone = by_hand.partition { |gate| gate["together"] }
    open = "[aria-label$=': I have checked'], [aria-label$=': Done']"
    all = "[aria-label^='#{label}: all']"
    place.find(all).click if together.size > 1
    # one after the other: the rows move as they are answered
    expect(place).to have_no_css(all)
    (alone + ((together.size > 1) ? [] : together)).each do |gate|
      row = "[aria-label='#{gate["label"]}']"
      place.find(row).find(open).click
      expect(place.find(row)).to have_no_css(open)
    end
    expect(place).to have_no_css(open)
  end
end
