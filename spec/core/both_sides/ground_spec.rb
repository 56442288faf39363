# frozen_string_literal: true

RSpec.describe "Limits of what is typed" do
  both_sides "Units::LONGEST", 40 => true, 41 => false do |length|
    taken? { Sandbag::Units.parse("1".ljust(length - 3, "0") + " mm", :length) }
  end

  both_sides "QuantityReader::MOST", 12 => true, 13 => false do |pistons|
    reader = Sandbag::QuantityReader.new({"type" => "measures", "dimension" => "length", "min" => 1, "max" => 99}, "it")
    taken? { reader.read(Array.new(pistons, "25").join(" ")) }
  end

  both_sides "QuantityReader::EARLIEST_YEAR", "1970-01-01" => true, "1969-12-31" => false do |day|
    taken? { Sandbag::QuantityReader.new({"type" => "date"}, "it").read(day) }
  end

  both_sides "Money::MOST_MINOR", 1_000_000_000 => true, 1_000_000_001 => false do |minor|
    taken? { Sandbag::Money.parse(minor) }
  end

  both_sides "Money::MINOR", "1" => 100, "1.50" => 150 do |typed|
    Sandbag::Money.parse(typed)
  end

  both_sides "Wording::LONGEST_QUOTED", 40 => 40, 41 => 40 do |length|
    Sandbag::Wording.quoted("x" * length).count("x")
  end

  both_sides "Shop::LIMIT_RULES", ["effort_hand", 1500] => true, ["effort_hand", 1500.5] => false,
    ["effort_foot", 1500] => true, ["effort_foot", 1500.5] => false, ["effort_foot", 0] => false,
    ["safe_gap", 0] => true, ["safe_gap", 100] => true, ["safe_gap", 100.5] => false do |(name, value)|
    taken? { Sandbag::Shop.new("limits" => {name => value}) }
  end

  both_sides "Shop::LONGEST_NAME", 120 => true, 121 => false do |length|
    taken? { Sandbag::Shop.new("name" => "x" * length) }
  end

  both_sides "Cylinder::KitContents::MOST", 12 => true, 13 => false do |count|
    taken? { Sandbag::Cylinder::KitContents.read(Sandbag::Tables.ids("kit_items").first => {"count" => count}) }
  end

  both_sides "Shop::FLUID_MONTHS", {} => 24, {"fluid_months" => 12} => 12 do |set|
    Sandbag::Shop.new(set).fluid_months
  end

  both_sides "Shop::HOURLY_RATE_MINOR", {} => 6000, {"hourly_rate_minor" => 0} => 0 do |set|
    Sandbag::Shop.new(set).hourly_rate_minor
  end
end
