# frozen_string_literal: true

require_relative "bench_view_hand"

# A whole bleed of a kart, a snowmobile and a bicycle in Bench view, by Space, digits, arrows and U, with a wrong turn
# of that trade.
RSpec.describe "Each kind by keys", :browser do
  include BenchViewByHand

  it "judges a bicycle's lever by bottles of water and a ruler, and signs" do
    start("bicycle", "bike_front",
      {"route" => "bleed", "colour" => "as_fresh", "means" => "hung", "ruler" => 0.5})
    hung = 0
    work_by_keys(180) { |card| hung += 1 if card["id"] == "hung" }
    expect(hung).to be_between(4, 12)
    expect(session).to have_css("h1", text: "Signed off.")
    expect(api("/jobs/keys/entries?limit=500")["items"].map { |entry| entry["kind"] }).not_to include("reading")
    expect(browser_faults).to be_empty
  end

  {
    "kart" => ["kart", "kart_rear", "check.nipple_sound", "Worn or seized", "renew one with a worn thread"],
    "snowmobile" => ["snowmobile", "snow_jackshaft", "check.reservoir_clean", "Sediment in it", "brush it out"],
    "bicycle" => ["bicycle", "bike_rear", "check.rim_full", "One stood low", "low port shuts air in"]
  }.each do |name, (kind, template, at, wrong, says)|
    it "bleeds a #{name}, takes a wrong turn back, and signs" do
      start(kind, template, {"route" => "bleed", "colour" => "as_fresh", "means" => "gauge"})
      turned = false
      work_by_keys(180) do |card|
        now = shown("keys", stage)["now"]
        own = now.find { |each| each["id"] == at }
        next if turned || own.nil?
        turned = true
        titles = now.map { |each| each["title"] }
        turn_to("h1", titles, own["title"])
        press BenchViewByHand::KEYS[own["answers"].index { |each| each["label"] == wrong }]
        expect(session).to have_css("main", text: /#{says}/i)
        press "u"
        expect(session).to have_no_css("main", text: /#{says}/i)
        turn_to("h1", titles, card["title"])
      end
      expect(turned).to be true
      expect(session).to have_css("h1", text: "Signed off.")
      expect(browser_faults).to be_empty
    end
  end
end
