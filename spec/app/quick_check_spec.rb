# frozen_string_literal: true

RSpec.describe App::QuickCheck do
  include Sheets

  let(:contract) { App::Contract.load }
  let(:random) { Random.new(Kernel.rand(2**32)) }

  def bodies
    {
      "computeCircuit" => {
        sheet: twin_disc_plain
      },
      "computeSizing" => {
        sheet: clutch_plain,
        candidates: [{bore: 14, push_offset: "18"}]
      },
      "computeLeverFit" => {
        sheet: bicycle_plain,
        readings: [{force: 5, travel: "9,5"}]
      },
      "addEntry" => {
        id: "e1",
        stage: "bleed",
        kind: "stroke",
        data: {},
        at: "2026-03-14T09:00:00Z"
      },
      "openJob" => {
        id: "j",
        circuit_id: "c",
        beside: true
      },
      "changeShop" => {
        name: "Shop",
        prices: {
          hourly: "45.50"
        },
        band: [20, "30"]
      }
    }.select { |id, _| contract.operations.key?(id) }.transform_values { |body| JSON.parse(JSON.generate(body)) }
  end

  let(:strange_values) { [nil, true, -1, 0.5, 7, "", "x" * 500, "12 mm", [], {}, [[]], {"a" => {}}, Float::MAX] }

  # The body with one thing somewhere in it changed, dropped or added.
  def disturbed(value)
    case value
    when Hash
      return value.merge(%w[id from extra kind].sample(random: random) => strange) if value.empty? || random.rand < 0.15
      name = value.keys.sample(random: random)
      (random.rand < 0.15) ? value.except(name) : value.merge(name => disturbed(value[name]))
    when Array
      return [strange] * random.rand(0..70) if value.empty? || random.rand < 0.15
      place = random.rand(value.size)
      value.each_with_index.map { |each, index| (index == place) ? disturbed(each) : each }
    else strange
    end
  end

  def strange
    strange_values.sample(random: random)
  end

  it "says the same as the schema library of every request, right or wrong" do
    expect(bodies.size).to be > 3
    bodies.each do |id, body|
      operation = contract.operations.fetch(id)
      expect(operation.quick.call(body)).to be true
      verdicts = Array.new(150) do
        wrong = (1..random.rand(1..3)).reduce(body) { |now, _| disturbed(now) }
        quick = operation.quick.call(wrong)
        expect([id, wrong, quick]).to eq [id, wrong, operation.request.valid?(wrong)]
        quick
      end
      expect(verdicts).to include(false)
    end
  end

  it "refuses a keyword that it does not know, rather than pass it over" do
    expect { described_class.new({}).compile({"type" => "object", "dependentRequired" => {}}) }.to raise_error(
      App::QuickCheck::Unknown,
      /dependentRequired/
    )
  end
end
