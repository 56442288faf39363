# frozen_string_literal: true

require "benchmark"

RSpec.describe Sandbag::Feel::GaugeFile do
  rows = [[5, 10], [20, 18], [60, 22], [100, 24]].freeze

  def self.csv(header, rows, separator: ",", comma: false)
    lines = rows.map { |row| row.map { |cell| comma ? cell.to_s.tr(".", ",") : cell.to_s }.join(separator) }
    [header.join(separator), *lines].join("\n")
  end

  plain = csv(%w[force_n travel_mm], rows)

  {
    "plain" => plain,
    "the other way round" => csv(%w[travel_mm force_n], rows.map(&:reverse)),
    "with time" => csv(%w[time_s force_n travel_mm], rows.each_with_index.map { |row, at| [at, *row] }),
    "time last" => csv(%w[force_n travel_mm time_s], rows.each_with_index.map { |row, at| [*row, at] }),
    "time in ms" => csv(%w[time_ms force_n travel_mm], rows.each_with_index.map { |row, at| [1000 * at, *row] }),
    "semicolons" => csv(%w[force_n travel_mm], rows, separator: ";"),
    "tabs" => csv(%w[force_n travel_mm], rows, separator: "\t"),
    "a decimal comma" => csv(%w[force_n travel_mm], rows.map { |row| row.map(&:to_f) }, separator: ";", comma: true),
    "a byte order mark" => "\xEF\xBB\xBF#{plain}",
    "UTF-16" => "\xFF\xFE".b + plain.encode("UTF-16LE").b,
    "UTF-16 the other way" => "\xFE\xFF".b + plain.encode("UTF-16BE").b,
    "Windows line ends" => plain.gsub("\n", "\r\n"),
    "blank lines at the end" => "#{plain}\n\n\n",
    "comments" => "# gauge 7\n#{plain}",
    "quotes" => csv(%w["force_n" "travel_mm"], rows),
    "capitals" => csv(%w[Force_N Travel_mm], rows),
    "units in brackets" => csv(["Force (N)", "Travel [mm]"], rows),
    "no units" => csv(%w[force travel], rows),
    "pound-force" => csv(%w[force_lbf travel_mm], rows.map { |force, travel| [force / 4.4482216152605, travel] }),
    "inches" => csv(%w[force_n travel_in], rows.map { |force, travel| [force, travel / 25.4] }),
    "other names" => csv(%w[load_n displacement_mm], rows),
    "a column too many" => csv(%w[no force_n travel_mm], rows.each_with_index.map { |row, at| [at, *row] }),
    "exponents" => csv(%w[force_n travel_mm], rows.map { |force, travel| [format("%e", force), travel] }),
    "spaces" => csv(%w[force_n travel_mm], rows.map { |row| row.map { |cell| " #{cell} " } })
  }.each do |name, text|
    it "reads #{name}" do
      file = described_class.new(text)
      expect(file.force_n).to match(rows.map { |force, _| be_within(1e-9).of(force) })
      expect(file.travel_mm).to match(rows.map { |_, travel| be_within(1e-9).of(travel) })
      expect(file.time_s).to eq [0, 1, 2, 3] if file.time_s
    end
  end

  {
    "nothing" => ["", "line 1: the file is empty"],
    "blank lines only" => ["\n\n \n", "the file is empty"],
    "a picture" => ["\x89PNG\r\n\x1A\n\0\0\0\rIHDR".b, "no text file"],
    "a header only" => ["force_n,travel_mm\n", "0 readings are too few"],
    "three readings" => [csv(%w[force_n travel_mm], rows.first(3)), "3 readings are too few"],
    "no header" => [csv([5, 10], rows), "no column is called force or travel"],
    "no force" => [csv(%w[time_s travel_mm], rows), "line 1: no column is called force"],
    "no travel" => [csv(%w[force_n time_s], rows), "no column is called travel"],
    "two forces" => [csv(%w[force_n force_lbf], rows), "2 columns are called force"],
    "an unknown unit" => [csv(%w[force_stone travel_mm], rows), "force is in “stone”, which is not known"],
    "a word" => [plain.sub("60", "hard"), "line 4: force is “hard”, which is no figure"],
    "an empty cell" => [plain.sub("60,22", "60,"), "line 4: travel is “”"],
    "a cut line" => ["#{plain}\n120", "line 6: travel is “”"],
    "two decimal points" => [plain.sub("60", "6.0.0"), "line 4"],
    "not a number" => [plain.sub("60", "NaN"), "line 4"],
    "infinity" => [plain.sub("60", "Infinity"), "line 4"],
    "1e308" => [plain.sub("60", "1e308"), "line 4: force of 1e+308 is out of range"],
    "beyond 1e308" => [plain.sub("60", "1e999"), "line 4: force of Inf is out of range"],
    "a negative pull" => [plain.sub("60", "-60"), "line 4: force of -60 is out of range"],
    "a metre of travel" => [plain.sub(",22", ",1000"), "line 4: travel of 1000 is out of range"],
    "time going back" => [
      csv(%w[time_s force_n travel_mm], rows.each_with_index.map { |row, at| [9 - at, *row] }), "line 3: time goes back"
    ],
    "half an UTF-16 letter" => ["\xFF\xFE\x00".b, "line 1"],
    "a sheet of words" => ["dear gauge\nhow are you\n", "no column"]
  }.each do |name, (text, said)|
    it "refuses #{name}, and says which line and why" do
      found = problems { described_class.new(text) }
      expect(found.map(&:pointer)).to eq ["file"]
      expect(found.first.message).to include said
    end
  end

  it "reads 200,000 rows in half a second" do
    text = "force_n,travel_mm\n" + Array.new(200_000) { |row|
      "#{(row % 1000) / 10.0},#{(row % 300) / 10.0}"
    }.join("\n")
    file = nil
    seconds = Benchmark.realtime { file = described_class.new(text) }
    expect(file.force_n.size).to eq 200_000
    puts format("      %.0f ms", 1000 * seconds) if ENV["TIMES"]
  end
end

RSpec.describe Sandbag::Feel::GaugeCurve do
  # A pull to 120 N and back, the seals rubbing by so much, and light noise by a fixed sequence.
  def pull(friction: 4.0, rows: 400)
    circuit = twin_disc
    travel = ->(force) { circuit.travel_mm(circuit.pressure_mpa(force), air_ml: 0.3) }
    forces = Array.new(rows) { |row| 120.0 * (row + 1) / rows }
    loading = forces.map { |force| [force + friction, travel.call(force)] }
    back = forces.reverse.map { |force| [[force - friction, 0].max, travel.call(force)] }
    (loading + back).map { |row| row.join(",") }.unshift("force_n,travel_mm").join("\n")
  end

  def curve(text)
    described_class.new(text)
  end

  it "keeps a dozen readings of the loading branch, lightest first and finer there" do
    readings = curve(pull).readings
    expect(readings.size).to be_between(8, 12)
    forces = readings.map { |reading| reading[:force_n] }
    expect(forces).to eq forces.sort
    expect(forces.count { |force| force < 40 }).to be > forces.count { |force| force > 80 }
  end

  it "tells seal and lever friction from the two branches" do
    expect(curve(pull(friction: 4.0)).friction_n).to be_within(0.6).of(4.0)
    expect(curve(pull(friction: 0.0)).friction_n).to be_within(0.6).of(0.0)
  end

  it "refuses a pull that never meets anything but the return spring" do
    flat = (1..200).map { |row| "#{4 + 0.2 * Math.sin(row) + 0.001 * row},#{row * 0.2}" }
    curve = described_class.new(["force_n,travel_mm", *flat].join("\n"))
    expect(refusal_at { curve.readings }).to eq ["file"]
  end

  it "has no friction to tell where the lever is not let go" do
    text = pull.lines.first(300).join
    expect(curve(text).friction_n).to be_nil
  end

  it "takes the firmest of several pulls, from the rest before it" do
    soft = pull.lines.drop(1).map { |line|
      line.split(",").then { |force, travel|
        "#{force.to_f / 3},#{travel.to_f / 2}"
      }
    }
    both = ["force_n,travel_mm", *soft.map(&:strip), *pull.lines.drop(1).map(&:strip)].join("\n")
    alone, found = [pull, both].map { |text| curve(text).readings.last }
    expect(found[:force_n]).to be_within(1.0).of(alone[:force_n])
  end

  it "reads a steady pull over time as a hold" do
    lines = (0..60).map { |second| "#{second},#{150 + second % 3},#{30 + 0.01 * second}" }
    found = curve(["time_s,force_n,travel_mm", *lines].join("\n"))
    expect(found).to be_steady
    expect(found.to_h[:hold][:times_s].last).to be >= 55
  end

  it "refuses a file in which nothing is pulled" do
    expect(refusal_at { curve("force_n,travel_mm\n0,0\n0,0\n0,0\n0,0") }).to eq ["file"]
  end
end
