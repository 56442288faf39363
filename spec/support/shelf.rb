# frozen_string_literal: true

# Things on a shelf for the specs, each as its moves would have it.
module ShelfThings
  KIT = {
    "primary_cup" => {
      "material" => "EPDM"
    },
    "secondary_cup" => {
      "material" => "EPDM"
    },
    "piston" => {},
    "spring" => {},
    "bore_circlip" => {},
    "stop_washer" => {},
    "boot" => {
      "material" => "CR"
    }
  }.freeze

  def move(item, kind, data = {}, id: "#{item}-#{kind}-#{rand(1 << 40)}", at: "2026-03-14T09:26:00Z")
    Sandbag::Shelf::Move.new(id: id, item: item, kind: kind, data: data, at: at, by: "spec")
  end

  # A stock after moves, each admitted by the stock before it.
  def stock_of(*moves)
    moves
      .reduce([]) { |admitted, each| admitted + [Sandbag::Shelf::Stock.fold(admitted).admit(each)] }
      .then { |admitted| Sandbag::Shelf::Stock.fold(admitted) }
  end

  def kit_fields(bore: 14, construction: "bar_axial_circlip", spring: "fitted", contents: KIT)
    {"bore" => bore, "construction" => construction, "spring" => spring, "contents" => contents}
  end

  def added_kit(item = "kit", count: 1, **fields)
    move(item, "added", {"kind" => "kit", "name" => "Kit #{item}", "count" => count, "fields" => kit_fields(**fields)})
  end

  def added_bottle(item = "bottle", fluid: "dot4", size: 500, use_by: nil)
    move(
      item,
      "added",
      {
        "kind" => "bottle",
        "name" => "Bottle #{item}",
        "fields" => {"fluid" => fluid, "size" => size, "use_by" => use_by}.compact
      }
    )
  end

  def bottle(size: 500, left: nil, opened: nil, **more)
    moves = [added_bottle(size: size, **more)]
    moves << move("bottle", "opened", {"on" => opened}) if opened
    moves << move("bottle", "measured", {"ml" => left}) if left
    stock_of(*moves).find("bottle")
  end

  def kit(**fields)
    stock_of(added_kit(**fields)).find("kit")
  end
end
