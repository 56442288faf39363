# frozen_string_literal: true

require "open3"
require "tmpdir"
require "yaml"

# A kind of circuit that nobody has thought of: a rear brake worked by a thumb lever. It is rows in five tables.
RSpec.describe "A kind of circuit that is not in the tables" do
  rows = {
    "circuit/controls.yml" => {
      "id" => "thumb_lever", "label" => "Thumb lever", "noun" => "thumb lever", "limb" => "hand", "press" => "push",
      "pressed" => "pushed", "at" => "finger", "stop" => "grip", "has" => ["bar"]
    },
    "circuit/circuit_kinds.yml" => {
      "id" => "brake_thumb", "label" => "Thumb brake", "control" => "thumb_lever", "far_end" => "calipers",
      "safety" => "hand", "outlet" => "banjo", "reservoir" => "open", "use" => "ridden",
      "has" => %w[switch loom stands suspension second_control], "like" => "brake_hand",
      "cylinders" => "thumb_brake", "bores" => [9, 13],
      "hoses" => %w[rubber braided], "fluid" => "dot4", "fluid_months" => 18, "firm" => 60, "hold" => 90,
      "pump_limit" => 4.0, "most" => 300, "air_share" => 1.0, "frees" => "the wheel spins free at once",
      "sweep" => "light to hard by steps"
    },
    "circuit/circuit_templates.yml" => {
      "id" => "trials_thumb", "label" => "Rear, thumb lever", "kind" => "brake_thumb",
      "parts" => [
        {"id" => "master", "part" => "master", "defaults" => {"bore" => 11}},
        {"id" => "hose", "part" => "line", "label" => "Rear hose", "from" => "master",
         "defaults" => {"length" => 1400}},
        {"id" => "caliper", "part" => "caliper", "label" => "Rear caliper", "from" => "hose",
         "defaults" => {"pistons" => "25 25"}}
      ]
    },
    "circuit/machine_kinds.yml" => {"id" => "trials", "label" => "Trials machine", "templates" => ["trials_thumb"]},
    "choose/cylinders.yml" => {
      "id" => "thumb_brake", "sizes" => [[11, 16], [12.7, 16]], "bores" => [9.5, 11, 12.7], "offsets" => [14, 16, 18]
    }
  }

  # What a fresh process with such tables prints.
  def with_tables(rows, script)
    Dir.mktmpdir do |folder|
      FileUtils.cp_r("#{ROOT}/lib", folder)
      rows.each do |file, row|
        path = "#{folder}/lib/sandbag/knowledge/#{file}"
        File.write(path, File.read(path) + YAML.dump([row]).delete_prefix("---\n"))
      end
      output, status = Open3.capture2e(RbConfig.ruby, "-I", "#{folder}/lib", "-e", script)
      raise output unless status.success?
      output
    end
  end

  it "is sized, stripped, fitted, bled, felt and signed, and says what is its own" do
    script = <<~RUBY
      require "bundler/setup"
      require "json"
      require "sandbag"
      require "#{ROOT}/spec/support/sheets"
      require "#{ROOT}/spec/support/jobs"
      Sandbag::Tables.load_all
      circuit = Sandbag::Circuit::Template.filled("trials_thumb")
      circuit = circuit.set("master", "bore", 11, "part_marking").change("caliper", "pistons", "25 25", "part_marking")
      routes = Sandbag::Job::Route.all.select { |route| route.suits?(circuit.kind) && !route.stops? }
      signed = %w[flush reseal_mc renew_hose].map do |route|
        job = JobInMemory.new(circuit)
        job.answer_stops
        job.add("ask", "route", {"route" => route})
        job.work_through
        job.state.close.signed?
      end
      state = JobInMemory.new(circuit).state
      puts JSON.generate(
        signed: signed, routes: routes.map(&:id), sizes: Sandbag::Choose::Sizing.usual(circuit.kind),
        methods: state.choose.bleed_methods.map { |row| row["id"] }, offset: circuit.value("lever", "push_offset"),
        pump: Sandbag::Feel::Pump.new([14.0, 12.0, 10.5], nil, circuit.kind).id
      )
    RUBY
    told = JSON.parse(with_tables(rows, script))
    expect(told["signed"]).to eq [true, true, true]
    expect(told["sizes"]).to eq [[11, 16], [12.7, 16]]
    expect(told["routes"]).to include("reseal_mc", "switch_only")
    expect(told["routes"]).not_to include("clutch_work", "add_mc")
    expect(told["methods"]).to include("hold_cycle", "hand_vacuum")
    expect(told["methods"]).not_to include("two_syringe", "bottom_up_added", "reverse_syringe")
    expect(told["offset"]).to eq 20
    expect(told["pump"]).to eq "steady"
  end

  it "is refused where a row needs what no kind has" do
    odd = {"id" => "odd", "label" => "l", "when" => "w", "needs" => ["wings"]}
    expect { with_tables({"close/rechecks.yml" => odd}, "require 'bundler/setup'; require 'sandbag'; Sandbag::Tables.load_all") }
      .to raise_error(/odd is for circuits with unknown wings; known are hand, bar/)
  end

  it "has only words that a row of some table, or the code, asks for" do
    asked = Sandbag::Tables.names.flat_map { |name| Sandbag::Tables.rows(name) }
      .flat_map { |row| row.values_at("needs", "lacks", "must", "may").grep(Array).flatten }.uniq
    code = Dir["#{ROOT}/lib/sandbag/**/*.rb"].map { |path| File.read(path) }.join
    idle = Sandbag::Circuit::Kind.known_words.reject { |word| asked.include?(word) || code.include?("has?(\"#{word}\"") }
    # What follows from a column that is read for itself.
    expect(idle - %w[hand closed_reservoir]).to be_empty
  end
end
