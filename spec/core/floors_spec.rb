# frozen_string_literal: true

require_relative "../support/arrows"

# Which room of the core may use which. The floors and the order of their rooms are Sandbag::FLOORS.
RSpec.describe "The floors of the core" do
  root = "#{ROOT}/lib/sandbag"

  before(:context) { Sandbag::LOADER.eager_load }

  let(:pairs) { Arrows.new(root, Sandbag).pairs }
  let(:order) { ["ground", *Sandbag::FLOORS.except("ground").values.flatten] }

  # "matter/fluid/age" is in fluid, "ground/units" in ground, "beside/shop" in shop.
  def room(path)
    parts = path.split("/")
    return parts.first if parts.first == "ground" || !Sandbag::FLOORS.key?(parts.first)
    rooms = Sandbag::FLOORS[parts.first]
    rooms.include?(parts.first) ? parts.first : parts[1]
  end

  def between(from, to)
    pairs.select { |namer, named| room(namer) == from && room(named) == to }
  end

  it "hold every file of the core in a room that is named" do
    files = Dir["#{root}/**/*.rb"].map { |path| path.delete_prefix("#{root}/").delete_suffix(".rb") }
    expect(files.map { |path| room(path) }.uniq - order).to be_empty
  end

  it "use only what is above: no file names a constant of a room that comes later" do
    down = pairs.select do |namer, named|
      from, to = room(namer), room(named)
      order.index(to) > order.index(from) && !(Sandbag::STAGES.include?(from) && Sandbag::STAGES.include?(to))
    end
    expect(down.map { |pair| pair.join(" → ") }).to be_empty
  end

  it "read no table of a room that comes later" do
    tables = Dir["#{root}/knowledge/*"].map { |path| File.basename(path) }.flat_map { |home|
      Sandbag.const_get(home.capitalize)::Schemas::TABLES.keys.map { |table| [table, order.index((home == "tables") ? "ground" : home)] }
    }.to_h
    down = Dir["#{root}/**/*.rb"].flat_map do |path|
      here = room(path.delete_prefix("#{root}/").delete_suffix(".rb"))
      next [] if Sandbag::STAGES.include?(here)
      File.read(path).scan(/Tables\.(?:rows|find|fetch|ids|unknown)\("(\w+)"/).flatten.uniq
        .select { |table| tables.fetch(table) > order.index(here) }.map { |table| "#{path}: #{table}" }
    end
    expect(down).to be_empty
  end

  it "let stages name one another in at most four pairs, and never both ways" do
    named = Sandbag::STAGES.permutation(2).reject { |from, to| between(from, to).empty? }
    expect(named.size).to be <= 4, named.inspect
    expect(named.map(&:reverse) & named).to be_empty
  end

  # A stage is built from its job, and asks other stages through it. What it asks of a later one could go in a circle,
  # so it says so.
  Sandbag::STAGES.each do |id|
    it "let #{id} ask of later stages what it declares, and nothing else" do
      asked = Dir["#{root}/stages/#{id}/*.rb"].flat_map { |path| Arrows.asked_of_stages(path) }.uniq - [id]
      later = asked.select { |other| Sandbag::STAGES.index(other) > Sandbag::STAGES.index(id) }
      expect(Sandbag::Job::Stage.of(id)::ASKS_LATER.keys).to match_array later
    end
  end
end
