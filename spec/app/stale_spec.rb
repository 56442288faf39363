# frozen_string_literal: true

RSpec.describe "A change to what was changed meanwhile", :api do
  before { add_circuit("c", twin_disc_plain) }

  def circuit = ask(:get, "/circuits/c")

  def bore(value, revision)
    ask(:patch, "/circuits/c", {changes: [{part: "master", field: "bore", value: value}], revision: revision})
    last_response.status
  end

  it "of a circuit is refused with both versions, and stores nothing" do
    read = circuit["revision"]
    expect([bore(16, read), bore(17.5, read)]).to eq [200, 409]
    expect(JSON.parse(last_response.body)["errors"]).to eq [{
      "pointer" => "master/bore",
      "message" => "it was changed meanwhile: here is “16.0”, sent was “17.5”",
      "accepted" => "the same again, made to what is here now"
    }]
    expect(circuit["sheet"]["parts"].find { |part| part["id"] == "master" }["values"]["bore"]["value"]).to eq 16.0
    expect(bore(17.5, circuit["revision"])).to eq 200
  end

  it "of a whole circuit is refused, naming each field that differs" do
    first = circuit
    whole = {name: first["name"], sheet: first["sheet"], revision: first["revision"]}
    bore(16, first["revision"])
    answer = ask(:put, "/circuits/c", whole)
    expect([last_response.status, pointers(answer)]).to eq [409, ["master/bore"]]
    ask(:put, "/circuits/c", {**whole, sheet: circuit["sheet"], revision: circuit["revision"]})
    expect(last_response.status).to eq 200
  end

  it "of the shop is refused, and one that says no revision is made to whatever is here" do
    read = ask(:get, "/shop")["revision"]
    ask(:put, "/shop", {name: "Fell Gate Garage", revision: read})
    expect(last_response.status).to eq 200
    answer = ask(:put, "/shop", {name: "Another", revision: read})
    expect([last_response.status, pointers(answer)]).to eq [409, ["name"]]
    ask(:put, "/shop", {name: "Another"})
    expect([last_response.status, ask(:get, "/shop")["name"]]).to eq [200, "Another"]
  end
end
