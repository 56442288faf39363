# frozen_string_literal: true

RSpec.describe Sandbag::Choose::Option do
  let(:front) { sheet(twin_disc_plain) }

  def row(option)
    Sandbag::Choose::Sizing.new(front, sizes: [], options: [option]).to_h[:rows].find do |each|
      each[:key] == option.key
    end
  end

  it "answers what if the hoses were rubber: longer pull, same effort" do
    rubber = described_class.new(front,
      changes: [%w[left_hose kind rubber], %w[right_hose kind rubber]], label: "rubber", key: "r")
    expect(row(rubber)[:travel_change_percent]).to be > 1
    expect(row(rubber)[:effort_change_percent]).to be_within(1e-9).of(0)
    expect(row(rubber)[:label]).to eq "rubber"
  end

  it "answers what if the calipers were others: less clamp area, more effort" do
    small =
      described_class.new(
        front,
        changes: [["left_caliper", "pistons", "30 30 27 27"], ["right_caliper", "pistons", "30 30 27 27"]],
        key: "s"
      )
    expect(row(small)[:effort_change_percent]).to be > 10
  end

  it "answers what if the slave were 30: as docs/physics.md 4 has it" do
    clutch = sheet(clutch_plain)
    option = described_class.new(clutch, changes: [%w[slave bore 30]], key: "slave")
    found =
      Sandbag::Choose::Sizing.new(clutch, sizes: [], options: [option]).to_h[:rows].find do |each|
        each[:key] == "slave"
      end
    expect(found[:force_n]).to be_within(0.05).of(65.6)
    expect(found[:lift_mm]).to be_within(0.0005).of(2.169)
  end

  it "gives the plain cylinder the same figures either way" do
    plain = Sandbag::Choose::Sizing.new(front, sizes: [[16, 18]]).to_h[:rows].last
    built = row(described_class.new(front, bore_mm: 16.0, push_offset_mm: 18.0, key: "built"))
    expect(built.slice(:force_n, :travel_mm, :volume_ratio)).to eq plain.slice(:force_n, :travel_mm, :volume_ratio)
  end

  it "refuses a change the sheet refuses, by its path" do
    expect(refusal_at { described_class.new(front, changes: [%w[left_hose kind glass]]) }).to eq [
      "parts/left_hose/kind"
    ]
  end
end

RSpec.describe Sandbag::Choose::School do
  def ranked(school)
    Sandbag::Choose::Sizing.new(
      sheet(twin_disc_plain),
      sizes: Sandbag::Choose::Sizing.grid(Sandbag::Circuit::Kind.find("brake_hand")),
      school: school
    ).to_h[
      :rows
    ].drop(1).select { |row| row[:rejected].empty? }
  end

  it "ranks by effort and travel unless the shop says otherwise" do
    best = ranked(described_class.new).first
    expect(best[:force_n]).to be_within(8).of(95)
    expect(best[:travel_mm]).to be_within(3).of(21)
  end

  it "ranks by the shop's band of volume ratio, nearest its middle first" do
    rows = ranked(described_class.new(id: "ratio_band", band: [28, 32]))
    expect(rows.first[:volume_ratio]).to be_within(2).of(30)
    expect(rows.map { |row| row[:distance] }).to eq rows.map { |row| row[:distance] }.sort
  end

  it "takes ratios of 20 to 30 where the shop has named none" do
    school = described_class.new(id: "ratio_band")
    expect([20, 25, 30].map { |ratio| school.distance({volume_ratio: ratio}, nil) }).to eq [1.0, 0.0, 1.0]
  end

  it "names the band a ratio falls in" do
    expect([10, 20, 29.9, 30, 80].map { |ratio| described_class.band_of(ratio)["id"] }).to eq %w[
      firm
      middle
      middle
      soft
      soft
    ]
  end

  it "refuses an unknown school and an empty band" do
    expect(refusal_at { described_class.new(id: "gut_feeling") }).to eq ["school"]
    expect(refusal_at { described_class.new(band: [30, 20]) }).to eq ["band"]
  end
end

RSpec.describe Sandbag::Choose::LeverCurves do
  let(:front) { sheet(twin_disc_plain) }
  let(:option) { Sandbag::Choose::Option.new(front, bore_mm: 16.0, push_offset_mm: 18.0) }

  it "draws each as built and in the reserve case, which is always longer" do
    curve = described_class.of([option]).first
    expect(
      curve[:normal].zip(curve[:reserve]).all? { |normal, reserve| reserve[:travel_mm] > normal[:travel_mm] }
    ).to be true
  end

  it "draws none for a clutch and no more than four" do
    expect(described_class.of([Sandbag::Choose::Option.new(sheet(clutch_plain))])).to be_empty
    expect(refusal_at { described_class.of([option] * 5) }).to eq ["candidates"]
  end
end

RSpec.describe Sandbag::Choose::Explanation do
  def items(option)
    described_class.new(option).items.to_h { |item| [item.id, item] }
  end

  # The filled-in formula, worked as arithmetic.
  def worked(filled)
    raise "not arithmetic: #{filled}" unless filled.match?(%r{\A[\d.\s×/+()−e-]+\z})
    eval(filled.tr("×−", "*-").gsub(/(?<![\d.])(\d+)(?![\d.])/, '\1.0')) # rubocop:disable Security/Eval
  end

  [:twin_disc_plain, :bicycle_plain, :clutch_plain].each do |plain|
    it "fills every formula of #{plain} so that it works out to the figure beside it" do
      described_class.new(Sandbag::Choose::Option.new(sheet(send(plain)))).items.each do |item|
        expect(worked(item.filled)).to be_within(item.value.abs * 0.004).of(item.value), "#{item.id}: #{item.filled}"
      end
    end
  end

  it "says the same as the sizing" do
    option = Sandbag::Choose::Option.new(sheet(twin_disc_plain), bore_mm: 17.46, push_offset_mm: 18.0)
    row = Sandbag::Choose::Sizing.new(sheet(twin_disc_plain), sizes: [[17.46, 18]]).to_h[:rows].last
    expect(items(option).values_at("force", "travel", "stroke").map(&:value)).to eq row.values_at(
      :force_n,
      :travel_mm,
      :stroke_mm
    )
  end

  it "names the source of every value, and a candidate's own size as such" do
    option = Sandbag::Choose::Option.new(sheet(twin_disc_plain), bore_mm: 17.46, push_offset_mm: 20.0)
    effort = items(option)["force"].from.to_h { |value| [value[:label], value[:source]] }
    expect(effort).to include("Bore" => "candidate", "Master: Return spring preload" => "default")
    expect(items(option)["lever_ratio"].from.map { |value| value[:source] }).to eq %w[measured measured]
  end
end

RSpec.describe Sandbag::Shop do
  it "shows the core's units until the shop says otherwise" do
    expect(described_class.new.display.transform_values { |shown| shown[:factor] }.values.uniq).to eq [1.0]
  end

  it "shows inches, psi and ounces by exact factors" do
    display =
      described_class.new(
        "units" => {
          "length" => "in",
          "pressure" => "psi",
          "volume" => "fl oz",
          "torque" => "lbf·ft"
        }
      ).display
    expect(display["length"][:factor] * 25.4).to be_within(1e-12).of(1)
    expect(display["metres"]).to include(unit: "in")
    expect(display["pressure"][:factor]).to be_within(1e-3).of(145.038)
    expect(display["volume"][:factor]).to be_within(1e-6).of(0.033814)
    expect(display["torque"][:factor]).to be_within(1e-6).of(0.737562)
  end

  it "is written down and read again without loss" do
    set =
      described_class.new(
        "units" => {
          "length" => "in"
        },
        "school" => "ratio_band",
        "band" => [22, "28,5"],
        "limits" => {
          "safe_gap" => "1 in"
        }
      )
    expect(described_class.new(set.to_h).to_h).to eq set.to_h
    expect(set.limits["safe_gap"]).to eq 25.4
  end

  it "refuses by path what it cannot be set to" do
    {
      "units/length" => {
        "units" => {
          "length" => "furlong"
        }
      },
      "school" => {
        "school" => "luck"
      },
      "band/0" => {
        "band" => ["x", 3]
      },
      "band" => {
        "band" => [30, 20]
      },
      "name" => {
        "name" => "x" * 121
      },
      "limits/effort_hand" => {
        "limits" => {
          "effort_hand" => -5
        }
      }
    }.each { |pointer, plain| expect(refusal_at { described_class.new(plain) }).to eq [pointer] }
  end

  it "writes its limits into new circuits, by hand or by foot" do
    shop = described_class.new("limits" => {"effort_hand" => 150, "effort_foot" => 300, "safe_gap" => 25})
    hand = shop.limit(Sandbag::Circuit::Template.sheet("road_front_twin"))
    foot = shop.limit(Sandbag::Circuit::Template.sheet("kart_rear"))
    expect([hand.value("target", "effort_limit"), hand.value("lever", "safe_gap")]).to eq [150.0, 25.0]
    expect([foot.value("target", "effort_limit"), foot.value("lever", "safe_gap")]).to eq [300.0, 10.0]
    expect(hand.values(hand.parts_of("target").first)["effort_limit"].source).to eq "shop_setting"
  end
end
