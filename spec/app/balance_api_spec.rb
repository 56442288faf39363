# frozen_string_literal: true

RSpec.describe "/api/circuits/:id/balance", :api do
  def add(template, id)
    ask(:post, "/machines/kart/circuits", {id: id, template: template, name: id.capitalize})
  end

  before do
    ask(:post, "/machines", {id: "kart", name: "Club kart", kind: "kart"})
    add("kart_bar_front", "front")
  end

  it "is of two circuits: one alone, and one that is not on a bar, are refused" do
    expect(ask(:get, "/circuits/front/balance")["errors"].first)
      .to include("message" => "circuits on a balance bar in this machine's record: Front",
        "accepted" => "two: the front one and the rear one")
    add("kart_rear", "alone")
    expect(ask(:get, "/circuits/alone/balance")["errors"].first["message"]).to eq "Alone is not on a balance bar"
  end

  it "is the same whichever of the two is asked, and tries another place of the bar" do
    add("kart_bar_rear", "rear")
    from_front, from_rear = %w[front rear].map { |id| ask(:get, "/circuits/#{id}/balance") }
    expect(from_front).to eq from_rear
    expect(from_front["ends"]).to eq("front" => {"id" => "front", "name" => "Front"},
      "rear" => {"id" => "rear", "name" => "Rear"})
    tried = ask(:get, "/circuits/rear/balance?front_percent=60.5")
    expect(tried["share_percent"]).to eq 60.5
    expect(tried.dig("now", "front_percent")).to be > from_front.dig("now", "front_percent")
    expect(ask(:get, "/circuits/rear/balance?front_percent=95")["status"]).to eq 422
    expect(ask(:get, "/circuits/rear/balance?front_percent=half")["status"]).to eq 422
  end

  it "writes where the bar stands into both records" do
    add("kart_bar_rear", "rear")
    expect(ask(:put, "/circuits/rear/balance", {front_percent: 57.2})["recorded"])
      .to eq("front_percent" => 57.2, "rear_percent" => 42.8, "agree" => true)
    lever = ->(id) { ask(:get, "/circuits/#{id}")["sheet"]["parts"].find { |part| part["part"] == "lever" } }
    share = ->(id) { lever.call(id).dig("values", "bar_share") }
    expect(share["front"]).to eq("value" => 57.2, "source" => "measured")
    expect(share["rear"]["value"]).to eq 42.8
    expect(ask(:put, "/circuits/rear/balance", {front_percent: 91})["status"]).to eq 422
  end
end
