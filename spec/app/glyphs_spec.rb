# frozen_string_literal: true

require "pdf-reader"

RSpec.describe App::Glyphs do
  written = {
    "Cyrillic" => "Тормоз мягкий",
    "Greek" => "Μαλακό φρένο",
    "Turkish" => "Fren yumuşak, ığüş",
    "Vietnamese" => "Phanh mềm quá",
    "Japanese" => "前輪ブレーキの油漏れ",
    "Hebrew" => "בלם רך",
    "Arabic" => "فرامل لينة",
    "Czech" => "Žluťoučký kůň",
    "micro" => "5 µm, 5 μm, ±0.01, Ω"
  }.freeze

  written.each do |language, text|
    it "has a font for #{language}" do
      expect(described_class).to be_whole(text)
      expect(described_class.legible(text)).to eq text
    end
  end

  it "replaces what no font has, and says that it is not whole" do
    expect(described_class.legible("brake 🏍 ok-^\\ 🛠")).to eq "brake ? ok-^\\ ?"
    expect(described_class).not_to be_whole("🏍")
    expect(described_class.legible("soft\u200b lever\u0000")).to eq "soft lever"
  end
end

RSpec.describe "A card in many scripts", :api do
  it "carries every complaint as it was written, and says what it could not print" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    ["Тормоз мягкий", "Μαλακό φρένο", "Phanh mềm", "ブレーキ", "fine 🏍"].each { |text|
      entry("j", "ask", "note", {text: text})
    }
    header "Host", "127.0.0.1"
    get "/api/jobs/j/card.pdf"
    text = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")
    ["Тормоз мягкий", "Μαλακό φρένο", "Phanh mềm", "ブレーキ", "fine ?", "no font here has"].each do |printed|
      expect(text).to include(printed)
    end
  end
end
