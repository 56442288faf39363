# frozen_string_literal: true

require_relative "close_work"

# Bleed and Feel by keys on the twin discs of the demonstration, and on to the signature.
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

  def read_lever
    front = twin_disc
    expect(session).to have_content("Next: pull")
    press "n"
    [5, 8, 12, 20, 35, 60, 90].each do |force|
      press force.to_s, :enter
      press front.travel_mm(front.pressure_mpa(force), air_ml: 0.02).round(1).to_s, :enter
    end
  end
end
