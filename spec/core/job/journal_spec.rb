# frozen_string_literal: true

RSpec.describe Sandbag::Job::Journal do
  def entry(id, stage: "bleed", kind: "stroke", corrects: nil)
    Sandbag::Job::Entry.new(id: id, stage: stage, kind: kind, data: {}, at: "2026-03-14T09:00:00Z", by: "R",
      corrects: corrects)
  end

  it "keeps in force what nothing has taken back, in order" do
    journal = described_class.new([entry("a"), entry("b"), entry("c", kind: "undo", corrects: "a"), entry("d")])
    expect(journal.in_force.map(&:id)).to eq %w[b d]
  end

  it "puts a correcting entry of another kind in the place of what it corrects" do
    journal =
      described_class.new(
        [entry("a", stage: "feel", kind: "reading"), entry("b", stage: "feel", kind: "reading", corrects: "a")]
      )
    expect(journal.in_force.map(&:id)).to eq ["b"]
  end

  it "tells what came after an entry and before it, neither of which is the entry itself" do
    entries = %w[a b c].each_with_index.map { |id, place| entry(id).with(position: place + 1) }
    bleed = described_class.new(entries).of("bleed")
    expect([bleed.after(2), bleed.before(2), bleed.after(nil)].map { |each| each.map(&:id) })
      .to eq [["c"], ["a"], %w[a b c]]
  end

  it "gives a stage its own" do
    journal = described_class.new([entry("a"), entry("b", stage: "ask", kind: "note")])
    expect(journal.of("ask").map(&:id)).to eq ["b"]
    expect(journal.of("close")).to be_empty
  end

  it "loses nothing: every entry can still be found" do
    journal = described_class.new([entry("a"), entry("b", kind: "undo", corrects: "a")])
    expect(journal.find("a")).not_to be_nil
    expect(journal.corrected?("a")).to be true
    expect(journal.entries.size).to eq 2
  end

  describe "growing entry by entry" do
    kinds = (%w[stroke] * 12 + %w[topped_up] * 4 + %w[bubbles uncovered undo undo corrected]).freeze

    def following(random, index, kind, before)
      taken_back =
        before.select { |each| %w[stroke topped_up bubbles uncovered].include?(each.kind) }.sample(random: random)
      return entry("e#{index}", kind: "stroke") if %w[undo corrected].include?(kind) && taken_back.nil?
      case kind
      when "undo" then entry("e#{index}", kind: "undo", corrects: taken_back.id)
      when "corrected" then entry("e#{index}", kind: "topped_up", corrects: taken_back.id)
      else entry("e#{index}", kind: kind)
      end
    end

    it "says and counts the same as one read in whole" do
      random = Random.new(RSpec.configuration.seed)
      grown = Sandbag::Job::State.new(described_class.new([]), sheet(twin_disc_plain))
      200.times do |index|
        grown.bleed
        grown = grown.with(following(random, index, kinds.sample(random: random), grown.journal.in_force))
        next unless (index % 9).zero?
        whole = Sandbag::Job::State.new(described_class.new(grown.journal.entries), grown.fitted)
        expect(grown.journal.of("bleed").map(&:id)).to eq whole.journal.of("bleed").map(&:id)
        expect(grown.journal.of("bleed").of("stroke")).to eq whole.journal.of("bleed").of("stroke")
        expect(grown.bleed.view).to eq whole.bleed.view
      end
    end
  end

  it "is the same journal however often it is folded" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    expect(job.told).to eq job.told
    copied =
      Sandbag::Job::State.new(
        described_class.new(job.entries.map { |each| Sandbag::Job::Entry.new(**each.to_h) }),
        job.fitted
      )
    expect(job.told(copied)).to eq job.told
  end
end
