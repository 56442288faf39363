# frozen_string_literal: true

require_relative "helper"

RSpec.describe "From template to verdict", :browser do
  def add_machine(kind, name)
    open_page "/machines"
    session.fill_in "Name", with: "#{name}\n"
    session.find("label", text: kind, exact_text: true).click
    session.click_button "Add this machine"
    expect(session).to have_css("h1", text: name)
  end

  {
    "Road motorcycle" => [
      "Front, two calipers, stacked hoses",
      "Combined, one lever on front and rear",
      "Rear by hand, beside the foot lever",
      "Clutch"
    ],
    "Kart" => ["Front pair and rear on one pedal"],
    "Snowmobile" => ["Disc on the jackshaft"],
    "Bicycle" => ["Front, four pistons"]
  }.each do |kind, templates|
    it "works for a #{kind.downcase}: #{templates.join("; ")}" do
      add_machine(kind, "Made up #{kind}")
      templates.each do |template|
        session.click_button template
        expect(session).to have_css("h2", text: template, exact_text: true)
        expect(session.find("li[data-field='bore']")).to have_content("trade default")
        session.click_link "Open in the Sizer"
        expect(session).to have_content("fitted now")
        expect(session).to have_css("tr", text: /noticeable|change|agreement/)
        effort = session.find("summary", text: "Effort")
        effort.click
        expect(session).to have_content("F = (p A_m + F_s) / (η R)").and have_content("trade default")
        session.go_back
        expect(session).to have_css("h2", text: template, exact_text: true)
      end
    end
  end

  it "splits a hose to a further caliper, renames it and takes it away again" do
    open_page "/machines/scree"
    add_machine("ATV", "Made up quad")
    session.click_button "Rear, bar lever"
    pick_part("Rear hose")
    session.click_button "Split this hose to a further caliper"
    pick_part("New caliper")
    session.fill_in "Name", with: "Right caliper\n"
    expect(session).to have_css("g[role=button][aria-label^='Right caliper']")
    expect(session).to have_content("Splitter of 3 hoses at Rear hose, 6 washers")
    session.click_button "Remove this caliper and its hose"
    expect(session).not_to have_css("g[role=button][aria-label^='Right caliper']")
  end

  it "copies, renames and retires a machine" do
    open_page "/machines/packmule"
    session.click_button "Edit machine"
    session.click_button "Copy this machine"
    expect(session).to have_css("h1", text: "Oxholm Packmule, copy")
    session.click_button "Edit machine"
    session.fill_in "Name", with: "Packmule two\n"
    expect(session).to have_css("h1", text: "Packmule two")
    session.click_button "Retire"
    expect(session).to have_content("Retired")
    session.click_link "Machines"
    expect(session).not_to have_content("Packmule two")
    session.click_button "Show retired ones"
    expect(session).to have_content("Packmule two")
  end
end

RSpec.describe "The circuit's drawing", :browser do
  before { open_page "/machines/ridgeline" }

  it "marks a high spot and a port that is not at the top, and says what stays there" do
    pick_part("Left hose")
    session.fill_in "Highest point on its way", with: "1150\n"
    expect(session).to have_content("Left hose stands 1150 mm high")
    pick_part("Right caliper")
    session.fill_in "Bleed port off the top", with: "60\n"
    expect(session).to have_content("the bleed port is 60° off the top. 0.88 mL of air stays behind")
  end

  it "asks which when a bore was only measured, and believes the casting mark" do
    session.fill_in "Bore", with: "16\n"
    expect(session).to have_field("Bore", with: "16")
    session.find("li[data-field='bore']").click_button(text: "part marking")
    session.find("[role=option]", text: "measured").click
    expect(session).to have_content("Which? 15.875 or 16 mm (5/8 in is one of them, 0.125 mm apart)")
    session.click_button "It says 15.875"
    expect(session).to have_field("Bore", with: "15.875")
    expect(session).not_to have_content("Which?")
    expect(session.find("li[data-field='bore']")).to have_content("part marking")
  end

  it "refuses nonsense by name, one field after the other, and keeps what was typed" do
    pick_part("Left caliper")
    session.fill_in "Pistons", with: "34 30 30\n"
    expect(session).to have_content("an opposed caliper has pistons on both sides")
    expect(session).to have_field("Pistons", with: "34 30 30")
    pick_part("Master")
    {
      "Full stroke" => ["0", "Full stroke of 0 is out of range"],
      "Bore" => ["40,5", "Bore of 40,5 is out of range"],
      "Return spring preload" => ["strong", "“strong” is not a number"]
    }.each do |field, (typed, words)|
      session.fill_in field, with: "#{typed}\n"
      expect(session).to have_content(words)
      expect(session).to have_field(field, with: typed)
    end
  end
end

RSpec.describe "The Sizer", :browser do
  before do
    open_page "/sizer?circuit=ridgeline-front"
    expect(session).to have_content("fitted now")
  end

  def blobs
    session.execute_script(
      "window.kept = []; URL.createObjectURL = blob => { window.kept.push(blob); return 'blob:none' }"
    )
    yield
    session
      .document
      .synchronize(8, errors: [RuntimeError]) do
        session.evaluate_script("kept.length").positive? || raise("nothing yet")
      end
    session.evaluate_async_script("const done = arguments[0]; kept[0].text().then(done)")
  end

  it "moves the box when the wish moves, and says no by name" do
    before = session.find("svg rect[stroke-dasharray]")["y"]
    session.fill_in "Wanted effort", with: "70\n"
    expect(session).to have_field("Wanted effort", with: "70")
    expect(session).to have_css("svg rect[stroke-dasharray]:not([y='#{before}'])")
    session.fill_in "Wanted effort", with: "much\n"
    expect(session).to have_content("“much” is not a number")
    expect(session).to have_field("Wanted effort", with: "much")
    expect(session).to have_content("fitted now")
  end

  it "is worked by keyboard: arrows along the dots, Enter picks, curves are laid over one another" do
    dot = session.find("g[data-key='19x20']")
    dot.send_keys(:arrow_right)
    focused = session.evaluate_script("document.activeElement.dataset.key")
    expect(focused).not_to eq "19x20"
    press :enter
    expect(session).to have_css("g[data-key='#{focused}'][aria-pressed=true]")
    expect(session).to have_css("svg[aria-label^='Lever curves of 19 × 20, ']")
  end

  it "compares other hoses and the user's own sizes, leaves out what cannot be, and shows the whole grid" do
    session.find("button", text: "as fitted").click
    session.find("[role=option]", text: "rubber").click
    expect(session).to have_button("19 × 20, rubber hoses")
    session.fill_in "Try another, bore × offset", with: "99 x 20\n"
    expect(session).to have_content("Bore of 99 is out of range")
    session.click_button "Leave it out"
    expect(session).not_to have_content("out of range")
    session.find("label", text: "Every usual bore and offset").click
    expect(session).to have_button(text: /\AAll 1\d\d\z/)
  end

  it "saves a comparison with the circuit and opens it again" do
    session.fill_in "Try another, bore × offset", with: "11/16 x 19\n"
    expect(session).to have_button("17.4625 × 19")
    session.fill_in "Save this comparison as", with: "lighter for the pass\n"
    session.click_button "Save"
    expect(session).to have_content("Saved with the circuit")
    open_page "/machines/ridgeline"
    session.click_link "lighter for the pass"
    expect(session).to have_button("17.4625 × 19")
  end

  it "goes away as CSV and SVG" do
    csv = blobs { session.click_button "CSV" }
    expect(csv.lines.first).to include("bore_mm,push_offset_mm")
    svg = blobs { session.click_button "SVG of the plot" }
    expect(svg).to start_with("<svg").and include("http://www.w3.org/2000/svg", "19×20")
    open_page "/machines/ridgeline"
    circuit = blobs { session.click_button "SVG of the circuit" }
    expect(circuit).to include("19 × 20", "750 mm")
  end
end

RSpec.describe "The shop's units", :browser do
  it "change every screen and no stored value" do
    before = api("/circuits/ridgeline-front")["sheet"]
    open_page "/shop"
    session.find("label", text: "in", exact_text: true).click
    session.find("label", text: "psi", exact_text: true).click
    session.find("label", text: "fl oz", exact_text: true).click
    expect(session).to have_css("label[data-selected]", text: "fl oz")
    {
      "/machines/ridgeline" => %w[0.748 psi],
      "/sizer?circuit=ridgeline-front" => ["257 psi", "Travel, in"],
      "/jobs/job-tourer-front/choose" => ["fl oz"],
      "/jobs/job-tourer-front/bleed" => ["fl oz"],
      "/jobs/job-kart/feel" => ["Pedal travel, in", "fl oz"]
    }.each do |path, words|
      open_page path
      words.each { |word| expect(session).to have_content(word).or have_field(with: /\A#{word}/) }
    end
    expect(api("/circuits/ridgeline-front")["sheet"]).to eq before
  end

  it "read a bare number as what is shown" do
    open_page "/shop"
    session.find("label", text: "in", exact_text: true).click
    expect(session).to have_css("label[data-selected]", text: "in", exact_text: true)
    open_page "/machines/ridgeline"
    session.fill_in "Bore", with: "0.625\n"
    expect(session).to have_field("Bore", with: "0.625")
    expect(sheet(api("/circuits/ridgeline-front")["sheet"]).value("master", "bore")).to eq 15.875
  end

  it "lets the shop rank by its band of ratios" do
    open_page "/shop"
    session.find("label", text: "Ratio band", exact_text: true).click
    session.fill_in "Band to", with: "19\n"
    expect(session).to have_content("a band from 20.0 to 19.0 holds nothing")
    session.fill_in "Band to", with: "40\n"
    expect(session).to have_field("Band to", with: "40")
    open_page "/sizer?circuit=ridgeline-front"
    expect(session).to have_css("tbody tr:nth-child(2)", text: /2\d\.\d|3\d\.\d/)
    expect(session).to have_css("tbody tr", minimum: 2)
  end
end
