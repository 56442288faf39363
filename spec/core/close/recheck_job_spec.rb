# frozen_string_literal: true

# A short job that looks again after another one.
RSpec.describe "A re-check" do
  subject(:job) do
    JobInMemory.new(sheet(twin_disc_plain)).tap do |found|
      found.answer_stops
      found.add("ask", "route", {"route" => "recheck", "reason" => "24 h"})
    end
  end

  it "asks for what is looked at again and no more, and is followed by none" do
    gates = job.state.close.gates
    expect(gates.map(&:id)).to eq %w[stop undone firm return dry nip residual level caps briefed]
    expect(job.view("close")[:rechecks]).to eq []
    job.confirm(*gates.reject(&:computed?).map(&:id))
    job.add("close", "signed", {"name" => "R. Tarn"})
    expect(job.state).to be_signed
  end

  it "goes no further with something wet, or a lever that was found bad" do
    job.add("feel", "test", {"test" => "leak_watch", "value" => "wet"})
    expect(job.state.close.open_gates.map(&:id)).to include "dry"
    job.add("feel", "test", {"test" => "leak_watch", "value" => "dry"})
    job.add("feel", "hold", {"creep" => 9})
    expect(job.state.feel).not_to be_done
  end
end
