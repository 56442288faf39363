# frozen_string_literal: true

RSpec.describe Sandbag::Lookup do
  let(:search) { Sandbag::Lookup::Book.search }

  # What is asked at a counter, and where its answer has to stand: among the first three.
  {
    "may I use brake cleaner on seals?" => "cleaners.brake_cleaner",
    "how long does an opened bottle keep?" => "intervals.bottle",
    "order on linked brakes?" => "answers.linked_order",
    "a nipple is broken off" => "answers.broken_nipple",
    "a bore for two four-piston calipers at a ratio of 17" => "answers.ratio_bore",
    "torque of an alloy banjo bolt" => "torque.banjo_m10_alloy",
    "can I mix DOT 4 and DOT 5.1" => "fluids.dot51",
    "is DOT 5 ok with ABS?" => "answers.silicone_abs",
    "free play of a kart pedal" => "free_play.kart_rod",
    "is EPDM rubber ok" => "seals.EPDM",
    "which spanner for an M8 nipple" => "tools.m8",
    "14 or 14.29" => "near_miss.d14",
    "how often are seals renewed" => "intervals.seals",
    "how often to change the fluid of a race kart" => "intervals.fluid",
    "the piston is stuck" => "stuck.spring",
    "what is knock-back" => "words.knock_back",
    "red rubber grease and mineral oil" => "lubricants.rubber_grease",
    "the lever sinks slowly" => "answers.lever_sinks",
    "the level keeps falling" => "answers.level_falls",
    "tie the lever overnight" => "answers.overnight_tie",
    "use crush washers again" => "answers.old_washers",
    "fluid on paint" => "answers.paint",
    "brake fluid on the pads" => "answers.pad_wet",
    "bend radius of a braided hose" => "hose.braided",
    "petrol" => "cleaners.petrol",
    "vacuum pump" => "methods.hand_vacuum",
    "soft after bleeding" => "answers.soft_after_bleed"
  }.each do |question, answer|
    it "answers “#{question}”" do
      expect(search.find(question).first(3).map(&:id)).to include answer
    end
  end

  it "finds by the beginning of a word, not by two letters, and nothing by a word that nobody has" do
    expect(search.find("compens").first.id).to eq "words.compensating_port"
    expect(search.find("ky").map(&:id)).to eq []
    expect(search.find("zebra")).to eq []
    expect(search.find("is the of")).to eq Sandbag::Lookup::Book.entries
    expect(search.find("fluid").size).to be <= Sandbag::Lookup::Search::MOST
  end

  it "says each figure with its unit, and of which groups it is a default" do
    groups = Sandbag::Lookup::Book.found("")
    expect(groups.map { |group| group[:id] }).to eq Sandbag::Tables.rows("lookup_groups").drop(1).map { |row| row["id"] }
    torque = groups.find { |group| group[:id] == "torque" }
    steel = torque[:entries].find { |entry| entry[:id] == "torque.banjo_m10_steel" }
    expect(torque[:default]).to be true
    expect(said(steel[:says].first)).to eq "20 to 30 N·m."
    expect(groups.find { |group| group[:id] == "words" }[:default]).to be false
    bottle = groups.flat_map { |group| group[:entries] }.find { |entry| entry[:id] == "intervals.bottle" }
    expect(bottle[:says]).to include(a_string_including("3 months"), a_string_including("12 months"))
  end

  it "puts what somebody entered in a machine's record first, with where it came from" do
    found = Sandbag::Lookup::Book.found("bore", sheet(twin_disc_plain))
    expect(found.first).to include(id: "record", label: "This machine")
    bore = found.first[:entries].find { |entry| entry[:title] == "Master: Bore" }
    expect(bore).to include(source: "measured")
    expect(bore[:says].map { |each| said(each) }).to eq ["19 mm"]
    pistons = Sandbag::Lookup::Book.found("pistons left caliper", sheet(twin_disc_plain)).first[:entries].first
    expect([pistons[:title], said(pistons[:says].join)]).to eq ["Left caliper: Pistons", "34 mm, 34 mm, 30 mm, 30 mm"]
  end

  it "has each row of its tables, and each word of the glossary once" do
    ids = Sandbag::Lookup::Book.entries.map(&:id)
    expect(ids.uniq).to eq ids
    %w[torques fluids seals cleaners bleed_methods glossary counter_answers cautions].each do |table|
      rows = Sandbag::Tables.rows(table).map { |row| row["id"] }
      expect(ids.map { |id| id.split(".", 2).last }).to include(*rows)
    end
  end

  it "explains each word of the glossary, draws a part in the cylinder that has it, and marks no ordinary word" do
    words = Sandbag::Lookup::Glossary.all.to_h { |word| [word[:id], word] }
    expect(words["banjo_bolt"]).to include(forms: ["banjo bolt", "banjo bolts", "banjo"])
    expect(words["stroke"][:forms]).to be_empty
    expect(words["bore_circlip"][:section]).to include(reservoir: true)
    drawn = words["bore_circlip"][:section][:parts].select { |part| part[:at_hand] }
    expect(drawn.map { |part| part[:id] }).to eq ["bore_circlip"]
    forms = words.values.flat_map { |word| word[:forms] }
    expect(forms.uniq).to eq forms
  end

  both_sides "Lookup::Search::LEAST_LETTERS", "co" => [], "com" => ["words.compression_nut"] do |typed|
    search.find(typed).map(&:id).select { |id| id == "words.compression_nut" }
  end

  both_sides "Lookup::Search::MOST", "fluid" => 40 do |typed|
    search.find(typed).size
  end

  # The word stands in a title, among the words, in a sentence, or only one that it stands for does.
  both_sides "Lookup::Search::TITLE", "Lookup::Search::WORDS", "Lookup::Search::SAYS", "Lookup::Search::MEANT",
    "snapped" => %w[title words says meant] do |typed|
    entry = ->(id, title: "x", words: [], says: []) {
      Sandbag::Lookup::Entry.new(id: id, group: "words", title: title, words: words, says: says)
    }
    Sandbag::Lookup::Search.new([
      entry["none"], entry["meant", says: ["broken"]], entry["says", says: ["snapped"]],
      entry["words", words: ["snapped"]], entry["title", title: "snapped"]
    ]).find(typed).map(&:id)
  end
end
