# frozen_string_literal: true

# Fit on the page that is open, as a mechanic with one hand free goes through it.
module FitWorkByHand
  # Everything of the phase at hand; again after the bleed.
  def fit_by_hand
    fit_steps
    fit_hoses
    fit_washers
    fit_torques
    fit_play
    fit_checks
    fit_reservoir
    fit_switch
    fit_steps
    fit_scrap
  end

  def fit_scrap
    wanted = fit_now["scrap_wanted"]
    return if fit_now["zero"] || !fit_now["all_back"]
    session.fill_in "Old pieces in the scrap pot (#{wanted} belong in it)", with: "#{wanted}\n"
    until_api { fit_now["zero"] }
  end

  def fit_now
    stage_now("fit")
  end

  def fit_steps
    while (step = fit_now["current"])
      label = fit_now["steps"].find { |each| each["id"] == step }["label"]
      expect(session).to have_css("[data-figure='step']", text: label, exact_text: true)
      while (part = fit_now["parts"].find { |each| each["question"] && !each["right"] })
        question = %([role=group][aria-label*="#{part["question"]}"])
        expect(session).to have_css(question)
        press facing_key(part)
        expect(session).to have_no_css(question)
      end
      done = steps_by_one_key(fit_now["now"].first) || [step]
      press :escape, :space
      until_api { !done.include?(fit_now["current"]) }
    end
  end

  # @return [Array<String>, nil] those that Space does at once
  def steps_by_one_key(card)
    card.dig("all", "looks")&.map { |look| look["entry"]["data"]["step"] }
  end

  # What holds a unit on its machine faces one way on every construction that has it.
  def facing_key(part)
    holder = [*Sandbag::Cylinder::Construction.groups, *Sandbag::Cylinder::Construction.all]
      .find { |each| each.part(part["id"].split("@").first)&.key?("way") }
    right_key(holder.id, part["id"])
  end

  def fit_hoses
    fit_now["hoses"].each do |hose|
      hose["positions"].each do |position|
        session.fill_in "#{hose["label"]}: #{position["label"]}", with: "#{(hose["length_mm"] - 45).round}\n"
      end
      session.fill_in "#{hose["label"]}: tightest bend, radius", with: "#{hose["least_bend_mm"].round + 30}\n"
    end
    until_api { fit_now["hoses"].all? { |hose| hose["due"].empty? } }
  end

  def fit_washers
    fit_now["washers"].reject { |stack| stack["done"] }.each do |stack|
      session.fill_in "Old out: #{stack["label"]}", with: "#{stack["wanted"]}\n"
      session.fill_in "New in: #{stack["label"]}", with: "#{stack["wanted"]}\n"
    end
    until_api { fit_now["washers"].all? { |stack| stack["done"] } }
  end

  def torques_now
    fit = fit_now
    fit["torques"].select { |line| !line["done"] && (!fit["bleeds"] || line["when"] == fit["phase"]) }
  end

  # The cursor goes to the field of the next fastener by one key; a figure and Enter is a reading.
  def fit_torques
    while (line = torques_now.first)
      expect(session).to have_css("[data-figure='fastener']", text: line["label"], exact_text: true)
      if line["asks"]
        session.find("label", text: (line["asks"]["options"] & %w[steel metal nipple]).first, exact_text: true).click
        until_api { torques_now.first["asks"].nil? }
        next
      end
      give_figure(line) unless line["range"]
      aim = torques_now.first["range"]["aim_nm"]
      take_wrench(2 * aim)
      press :escape, "t"
      press format("%g", aim), :enter
      until_api { torques_now.first&.fetch("id") != line["id"] }
    end
  end

  def give_figure(line)
    session.fill_in "Service figure, or the lowest", with: "35\n"
    session.click_button "Use this figure"
    until_api { torques_now.find { |each| each["id"] == line["id"] }["range"] }
  end

  def take_wrench(scale)
    return if fit_now["wrench"] && (fit_now["wrench"]["scale"] - scale).abs < 0.01
    session.fill_in "Full scale of the wrench in hand", with: "#{format("%g", scale)}\n"
    until_api { fit_now["wrench"] && (fit_now["wrench"]["scale"] - scale).abs < 0.01 }
  end

  def fit_play
    play = fit_now["free_play"]
    return unless play && play["due"]
    low, high = (play["range"][/[\d.]+ to [\d.]+ mm at the tip/] || "2 to 4").scan(/[\d.]+/).map(&:to_f)
    session.find("label", text: "At the tip", exact_text: true).click
    session.fill_in "Free play at the tip", with: "#{(low + high) / 2.0}\n"
    until_api { fit_now["free_play"]["due"].nil? }
  end

  def fit_checks
    fit_now["checks"].reject { |check| check["pass"] || check["later"] }.each do |check|
      if check["gap"]
        session.find("input[name='gap-#{check["id"]}']").fill_in(with: "31\n")
      else
        session.find("[role=radiogroup]", text: check["label"], visible: :all).find("label", text: "Good").click
      end
    end
    until_api { fit_now["checks"].all? { |check| check["pass"] || check["later"] } }
  end

  def fit_reservoir
    return unless fit_now["reservoir"] && fit_now["reservoir"]["tilt_deg"].nil?
    session.fill_in "Tilt at rest, bars straight", with: "2\n"
    until_api { fit_now["reservoir"]["covered"] }
  end

  def fit_switch
    electrics = fit_now["electrics"]
    return if electrics.nil?
    unless electrics["pulled"]["good"]
      session.click_button "Open, no contact: at rest"
      session.click_button "Read the simulated meter: #{electrics["pressed"]}"
      until_api { fit_now["electrics"]["pulled"]["good"] }
    end
    return if !electrics["lamp_wanted"] || electrics["lamp_later"] || electrics["lamp_good"]
    session.fill_in "Travel at which the lamp comes on", with: "2\n"
    until_api { fit_now["electrics"]["lamp_good"] }
  end
end
