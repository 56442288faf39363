# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Gauges at the lever", :browser do
  before { open_page "/jobs/job-kart/feel" }

  # A file held over the page and let go, as a hand does it.
  def drop(name, text)
    session.execute_script(<<~JS, name, text)
      const transfer = new DataTransfer();
      transfer.items.add(new File([arguments[1]], arguments[0], {type: "text/csv"}));
      const target = document.querySelector("[aria-label=\\"A gauge's file\\"]");
      for (const kind of ["dragover", "drop"])
        target.dispatchEvent(new DragEvent(kind, {bubbles: true, cancelable: true, dataTransfer: transfer}));
    JS
  end

  it "reads a file that is dropped, keeps the loading branch, and says what rubs" do
    sheet = Sandbag::Circuit::Sheet.new(shown("job-kart", "feel")["sheet"])
    rig = Sandbag::Rig::Circuit.new(sheet, today: Date.new(2026, 3, 14), seed: "kart")
    drop("pull.csv", Sandbag::Rig::LeverPull.new(rig.running, top_n: 320, seed: "kart").csv)
    expect(session).to have_content("pull.csv: loading branch kept; seals and lever rub")
    expect(session).to have_button("Remove the gauge's pull 1")
    expect(session).to have_css("[role=status]", text: "Pass")
    session.click_button "Remove the gauge's pull 1"
    expect(session).to have_no_button("Remove the gauge's pull 1")
    expect(axe_violations).to be_empty
  end

  it "refuses a wrong file with its line, and keeps nothing of it" do
    rows = session.all("table[aria-label=Readings] tbody tr").size
    drop("wrong.csv", "force_n,travel_mm\n5,10\n20,11\n40,hard\n60,12\n")
    expect(session).to have_css("[role=alert]", text: "line 4: travel is “hard”, which is no figure")
    expect(session).to have_css("table[aria-label=Readings] tbody tr", count: rows)
  end

  it "takes the simulated gauge, and says that it is" do
    session.click_button "Simulated gauge"
    expect(session).to have_content("simulated lever gauge: loading branch kept")
  end

  it "tells settling from sinking, and sends a lever that sinks back" do
    session.find("summary", text: "Or travel as time goes").click
    {0 => "30", 10 => "31.2", 20 => "32.1", 40 => "33.6", 60 => "35"}.each do |time, travel|
      session.fill_in "hold-#{time}", with: "#{travel}\n"
    end
    session.click_button "Record readings"
    expect(session).to have_content("The pedal sinks")
    expect(session).to have_content("Leak watch next")
    session.visit("#{served.url}/jobs/job-kart/bleed")
    expect(session).to have_css("[role=alert]", text: "Feel says the lever does not hold.")
    session.click_button "It sinks: back to Ask"
    session.click_link "Back to Ask"
    expect(session).to have_content("Master cylinder isolated")
  end

  it "reads five quick pulls and the rest after them" do
    {1 => 38, 2 => 34, 3 => 32, 4 => 31, 5 => 31}.each { |pull, travel|
      session.fill_in "pull-#{pull}", with: "#{travel}\n"
    }
    session.fill_in "pull-rest", with: "37\n"
    session.click_button "Record"
    expect(session).to have_content("comes back after the rest: air. Bleed again.")
  end

  it "tries the lever in order, lets nobody ride before the rest, and leads a bad one to where it is put right" do
    expect(session).to have_css("li", text: /Walking pace.*after the others/m)
    session.click_button "Drag: Drags"
    expect(session).to have_css("li", text: /Drag.*Frees at once/m)
    session.click_button "To Ask"
    until_api { shown("job-kart", "ask")["findings"]["residual"] == ["constant"] }
    expect(session).to have_css("h1", text: "Ask")
    expect(axe_violations).to be_empty
  end

  it "goes by a return spring that was measured" do
    expect(session).to have_content("Not measured: the verdict carries it as doubt.")
    session.fill_in "preload", with: "5\n"
    expect(session).to have_content("Measured; used in the verdict.")
  end
end
