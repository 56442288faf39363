# frozen_string_literal: true

RSpec.describe Sandbag::Fit::Stage do
  include FittedJob

  describe "the switch" do
    let(:job) { tried(built) }

    it "is closed when pulled, open at rest, and its lamp on before the bite" do
      job.add("fit", "ohms", {"state" => "rest", "ohms" => "12 kohm"})
      job.add("fit", "ohms", {"state" => "pulled", "ohms" => "1.4"})
      expect(refused(job, "lamp", {"travel" => 3})).to include "only a bled circuit shows"
      expect(fit(job).electrics.due("before").size).to eq 2
      job.add("fit", "ohms", {"state" => "rest", "open" => true})
      job.add("fit", "ohms", {"state" => "pulled", "ohms" => 0.4})
      expect(fit(job).electrics.due("before")).to be_empty
      expect(fit(job).electrics.due("after").map { |each| Sandbag::Said.plain(each) }).to eq [
        "lamp: the travel at which it comes on"
      ]
    end

    it "has a lamp to be looked at after the bleed, until it comes on in time" do
      bled = built.fit_all
      bled.run_all_clean
      expect(%w[before after].map { |phase| fit(bled).electrics.lamp_due?(phase) }).to eq [false, true]
      bled.add("fit", "lamp", {"travel" => fit(bled).electrics.bite_mm - 1})
      expect(%w[before after].map { |phase| fit(bled).electrics.lamp_due?(phase) }).to eq [false, false]
    end

    it "has its lamp on before the bite of the bled circuit, or has none" do
      bled = built.fit_all
      bled.run_all_clean
      bled.add("fit", "lamp", {"travel" => fit(bled).electrics.bite_mm + 1})
      expect(Sandbag::Said.plain(fit(bled).electrics.due("after").first)).to include "the brake bites at"
      bled.add("fit", "lamp", {"travel" => fit(bled).electrics.bite_mm - 1})
      expect(fit(bled).electrics.due("after")).to be_empty
      bled.add("bleed", "stroke")
      expect(fit(bled).electrics.due("after")).not_to be_empty
      bled.add("fit", "lamp", {"none" => true})
      expect(fit(bled).electrics.due("after")).to be_empty
    end

    it "reads the take-up of its own circuit as the bite" do
      circuit = Sandbag::Circuit::Assembly.build(job.state.sheet)
      expect(fit(job).electrics.bite_mm).to be_within(1e-9).of(
        circuit.lever.travel_mm(circuit.master.stroke_for_mm(circuit.budget.gap_ml))
      )
    end
  end

  describe "what is left to do at the switch" do
    let(:job) { tried(built) }

    it "names the reading that is missing, and what a bad one must be" do
      due = -> { fit(job).electrics.due("before").map { |each| Sandbag::Said.plain(each) } }
      expect(due.call.first(2)).to eq ["switch at rest: its reading", "switch pulled: its reading"]
      job.add("fit", "ohms", {"state" => "rest", "ohms" => "0.4"})
      expect(due.call.first).to eq "switch at rest: must be open"
    end

    it "has its contacts read before the bleed, and nothing where nobody asks for a switch" do
      expect(fit(job).electrics.due("before").size).to eq 2
      expect(fit(template("bike_front", "reseal_mc")).electrics.due("before")).to be_empty
    end
  end
end
