# frozen_string_literal: true

require_relative "../../support/careless"
require_relative "../../support/untruths"

# The rest of the seeds: bench/careless.rb.
RSpec.describe "A careless mechanic" do
  it "never signs for what was not done, and the record after the signature says no more than the journal" do
    signed = (1..200).count do |seed|
      careless = Careless.new(seed)
      next unless careless.work
      expect(Untruths.new(careless.job).all).to be_empty, "seed #{seed}: #{careless.slips}"
      true
    end
    # a mechanic whose slips did no harm may sign
    expect(signed).to be_between(20, 150)
  end

  # Entries of which another one of the same kind says enough: readings, what is measured before the bleed and again
  # after it, and a wrench where the one before suits too; and a bleeding method that is the one a bleed begins with.
  let(:free) { %w[bleed.method bleed.point bleed.topped_up feel.reading fit.free_play fit.ohms fit.lamp fit.wrench] }

  %w[road_front_twin.reseal_mc bike_front.bleed road_clutch.flush].each do |name|
    it "cannot sign #{name.tr(".", ", ")} with any one entry taken back that it rests on" do
      base = Careless.nearly_signed(*name.split("."))
      harmless = base.entries.uniq { |entry| [entry.stage, entry.kind, entry.data] }.select do |entry|
        job = Careless.nearly_signed(*name.split("."))
        job.undo(entry.stage, entry.id)
        job.add("close", "signed", {"name" => "R. Tarn"})
        expect(Untruths.new(job).all).to be_empty, entry.to_h.to_s
        true
      rescue Sandbag::Refusal
        false
      end
      left = harmless.map { |entry| "#{entry.stage}.#{entry.kind}" }
      expect(left.uniq - free).to be_empty
    end
  end
end
