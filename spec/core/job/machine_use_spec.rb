# frozen_string_literal: true

RSpec.describe Sandbag::Job::State, "by how the machine is used" do
  {nil => [false, false], "daily" => [false, false], "race" => [true, false], "cargo" => [true, true]}
    .each do |use, (hard, second)|
      it "#{use || "not said"}: #{"no " unless hard}hard use, #{second ? "a" : "no"} second person before release" do
        state = JobInMemory.new(sheet(twin_disc_plain), machine_use: use).state
        expect([state.hard_use?, state.second_person_use?]).to eq [hard, second]
      end
    end
end
