# frozen_string_literal: true

# Set-up, Strip, Measure and Build on the page that is open, as a mechanic with one hand free goes through them.
module CylinderWorkByHand
  # An entry of the job “walk”, written down beside the page.
  def enter(stage, kind, data)
    post("/jobs/walk/entries", {id: SecureRandom.uuid, stage: stage, kind: kind, data: data})
  end

  def open_job(circuit, fluid, route: "reseal_mc")
    post("/jobs", {id: "walk", circuit_id: circuit, beside: true})
    answer_stops("walk")
    enter("ask", "route", {route: route})
    enter("choose", "fluid", {fluid: fluid, stamped: fluid})
  end

  # A job whose bench is laid out, opened at Strip.
  def ready_to_strip(circuit, fluid)
    open_job(circuit, fluid)
    shown("walk", "choose")["wanting"].each do |line|
      enter("choose", "pulled", {line: line, reason: "bought for this job"})
    end
    open_page "/jobs/walk/strip"
  end

  # A job apart, without the page.
  def apart(circuit, fluid)
    ready_to_strip(circuit, fluid)
    stage_now("strip")["setup"]
      .select { |row| row["word"] == "block" }
      .each { |row| enter("strip", "setup", {item: row["id"], value: row["values"]&.keys&.first}.compact) }
    stage_now("strip")["steps"].each { |step| enter("strip", "step", {step: step["id"]}) }
  end

  # Every look answered with the first finding, which is the good one; no gauge on hand. Without the page.
  def looked_over_by_eye
    stage_now("measure")["inspection"].each do |look|
      enter("measure", "finding", {check: look["id"], value: look["values"].keys.first})
    end
    enter("measure", "by_eye", {reason: "no gauge on hand"})
  end

  def job_id_now
    session.current_path.split("/")[2]
  end

  def job_now
    api("/jobs/#{job_id_now}")
  end

  def stage_now(stage)
    shown(job_id_now, stage)
  end

  def set_up
    expect(session).to have_button("Out and counted", disabled: true).or have_button("Done", disabled: true)
    stage_now("strip")["setup"]
      .select { |row| row["word"] == "block" || row["values"].nil? }
      .each { |row| session.click_button "#{row["label"]}: #{row.fetch("values", {"done" => "Done"}).values.first}" }
    expect(session).to have_no_content("before the first step")
  end

  def strip_by_space
    until session.has_content?("All of it is out.", wait: 0)
      step = session.find("[data-figure='step']").text
      press :space
      expect(session).to have_no_css("[data-figure='step']", text: step, exact_text: true)
      all_sent
    end
  end

  # By the first card: what is odd first, reached by the arrows; then everything good, many by one answer.
  # @param odd [Hash{Symbol => String}] look => finding
  def look_over(**odd)
    odd.each { |id, finding| find_odd(id.to_s, finding) }
    while (card = look_card)
      turn_to_look(card["title"])
      press((card["kind"] == "round") ? :space : "1")
      until_api { look_card&.fetch("id") != card["id"] }
      all_sent
    end
  end

  # @return [Hash, nil] the first card, where it is a look at a part
  def look_card
    card = stage_now("measure")["now"].first
    card if card["id"].start_with?("look.") || (card["id"].start_with?("round.") && card["id"] != "round.inner")
  end

  def turn_to_look(title)
    turn_to(AtTheBench::NOW, stage_now("measure")["now"].map { |card| card["title"] }, title)
  end

  def find_odd(id, finding)
    look = stage_now("measure")["inspection"].find { |each| each["id"] == id }
    turn_to_look(look["label"])
    press look["values"].keys.index(finding).succ.to_s
    until_api { stage_now("measure")["inspection"].find { |each| each["id"] == id }["value"] == finding }
    all_sent
  end

  # A card takes no answer while one is on its way.
  def all_sent
    expect(session).to have_no_css("section[aria-label='Now']", text: "Sending…")
  end

  def gauge(bore:, piston:)
    stage_now("measure")["places"].each do |row|
      session.fill_in row["label"], exact: true, with: "#{(row["part"] == "bore") ? bore : piston}\n"
      expect(session).to have_no_field(row["label"], exact: true)
    end
    compare_inside
  end

  # New parts beside the old: all alike; a piston that passed and its spring go back.
  def compare_inside
    lines = stage_now("measure")["inner"].reject { |line| line["settled"] }
    return if lines.empty?
    alike = lines.select { |line| line["kept"].nil? }.map { |line| line["id"] }
    if alike.size > 1
      session.click_button "The same:", exact: false
      until_api { stage_now("measure")["inner"].all? { |line| line["settled"] || !alike.include?(line["id"]) } }
    end
    stage_now("measure")["inner"].reject { |line| line["settled"] }.each do |line|
      group = session.find("[role=radiogroup]", text: "#{line["label"]}: new against old")
      group.find("label", text: line["kept"] || "The same", exact_text: true).click
      until_api { stage_now("measure")["inner"].find { |each| each["id"] == line["id"] }["settled"] }
    end
  end

  # Which way each part faces, by the construction's own data.
  def right_key(construction, part)
    holder =
      [Sandbag::Cylinder::Construction.find(construction),
        *Sandbag::Cylinder::Construction.groups].compact.find do |each|
        each.part(part.split("@").first)
      end
    %w[inward up clip_in as_found].include?(holder.part(part.split("@").first)["way"]["faces"]) ? "1" : "2"
  end

  def asked(build)
    build["steps"].find { |step| step["id"] == build["current"] }["parts"].find do |part|
      part["question"] && !part["right"]
    end
  end

  def build_by_keys(construction)
    stage_now("build")["checks"].select { |check| check["before"] && !check["pass"] }.each do |check|
      expect(session).to have_css("[data-figure=first]", text: check["label"])
      press :space
      until_api { stage_now("build")["checks"].find { |each| each["id"] == check["id"] }["pass"] }
    end
    while (step = stage_now("build")["current"])
      while (part = asked(stage_now("build")))
        question = %([role=group][aria-label*="#{part["question"]}"])
        expect(session).to have_css(question)
        yield part if block_given?
        press right_key(construction, part["id"])
        expect(session).to have_no_css(question)
      end
      expect(session).to have_button("Fitted", disabled: false)
      press :space
      until_api { stage_now("build")["current"] != step }
    end
  end

  # Scrap counted, every check passed.
  def finish_build
    wanted = stage_now("build")["scrap_wanted"]
    session.fill_in "Old pieces in the scrap pot (#{wanted} belong in it)", with: "#{wanted}\n"
    stage_now("build")["checks"].reject { |check| check["pass"] }
      .each { |check| session.click_button "#{check["label"]}: passed" }
    expect(session).to have_link("Go on to Fit")
  end
end
