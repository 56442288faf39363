# frozen_string_literal: true

RSpec.describe App::JobCardFit do
  def card(job)
    described_class.of(job.view("fit")).to_h { |label, said| [label, Sandbag::Said.plain(said)] }
  end

  let(:fitted) do
    JobInMemory.new(changed(twin_disc_plain, "master", construction: "bar_radial"))
      .laid_out.set_up.strip_all.passed.build_all.fit_all
  end

  it "says every torque with its value, range, origin, tool and hand" do
    expect(
      card(fitted)["Banjo bolt: master outlet"]
    ).to eq "25 N·m, of 20 to 30 N·m (trade default), click wrench, by spec"
    fitted.add("fit", "figure", {"fastener" => "pivot_nut", "from" => 5.5, "to" => 6.5})
    expect(card(fitted)["Pivot lock nut"]).to include "of 5.5 to 6.5 N·m (service information)"
    expect(card(fitted)["Clamp bolts"]).to eq "not recorded"
  end

  it "says seals, gaps at full lock, free play, tilt and switch" do
    said = card(fitted)
    expect(said["Master outlet"]).to eq "3 old out, 3 new washers in, 3 wanted"
    expect(said["Full lock right, squeezed hard"]).to eq "30 mm, at least 10 mm"
    expect(said["Free play"]).to eq "3.50 mm at the tip"
    expect(said).to include("Reservoir" => a_string_starting_with("2° at rest"), "Switch at rest" => "open",
      "Switch worked" => "0.3 Ω")
  end

  it "says an estimate for what it is" do
    fitted.bleed_all
    fitted.undo("fit", fitted.state.fit.torques.line("nipple.left_caliper").reading.id)
    fitted.add("fit", "estimate", {"fastener" => "nipple.left_caliper"})
    expect(card(fitted)["Nipple of the left caliper"])
      .to eq "estimate: started by fingers, seated, plus 1/8 turn; by spec"
  end

  it "reads inches in an inch shop" do
    display = Sandbag::Shop.new("units" => {"length" => "in", "torque" => "lbf·in"}).display
    row = described_class.of(fitted.state.fit.view).assoc("Pivot lock nut").last
    expect(Sandbag::Said.in(row, display)).to start_with "53.1 lbf·in, of 44.25 to 61.96 lbf·in"
  end
end
