# frozen_string_literal: true

RSpec.describe App::InMemory do
  it "lets nobody wait for work on another thing" do
    kept = described_class.new(2, "run")
    kept.keep("slow", [])
    kept.keep("quick", [])
    inside, release = Queue.new, Queue.new
    slow = Thread.new do
      kept.work("slow") do |thing|
        inside << true
        release.pop
        thing << :done
      end
    end
    inside.pop
    expect(kept.work("quick") { |thing| thing << :here }).to eq [:here]
    release << true
    slow.join
    expect(kept.work("slow") { |thing| thing }).to eq [:done]
  end

  it "lets one at a time work on the same thing, and forgets the longest unused" do
    kept = described_class.new(2, "run")
    kept.keep("a", [0])
    Array.new(8) { Thread.new { 50.times { kept.work("a") { |sum| sum[0] += 1 } } } }.each(&:join)
    expect(kept.work("a", &:first)).to eq 400
    kept.keep("b", 1)
    kept.keep("c", 2)
    expect { kept.work("a") { nil } }.to raise_error(Store::Missing)
  end

  it "keeps what is worked on, however many are begun meanwhile" do
    kept = described_class.new(3, "run")
    kept.keep("mine", :here)
    20.times do |number|
      kept.keep("other #{number}", number)
      kept.work("mine") { nil }
    end
    expect(kept.work("mine", &:itself)).to eq :here
    expect { kept.work("other 17") { nil } }.to raise_error(Store::Missing)
  end
end
