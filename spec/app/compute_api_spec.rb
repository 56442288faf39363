# frozen_string_literal: true

RSpec.describe App::ComputeApi, :api do
  it "works out a circuit without storing anything" do
    found = ask(:post, "/compute/circuits", {sheet: twin_disc_plain})
    expect(found["volume_ratio"]).to be_within(0.005).of(22.78)
    expect(ask(:get, "/machines")["items"]).to be_empty
  end

  it "sizes the usual cylinders, or those asked for as they were typed" do
    expect(ask(:post, "/compute/sizings", {sheet: twin_disc_plain})["rows"].size).to be > 5
    rows =
      ask(:post, "/compute/sizings", {sheet: twin_disc_plain, candidates: [{bore: "11/16", push_offset: "18"}]})[
        "rows"
      ]
    expect(rows.map { |row| row["bore_mm"] }).to eq [19.0, 17.4625]
  end

  it "plans a bleed and fits a lever" do
    expect(
      ask(:post, "/compute/bleed-plans", {sheet: twin_disc_plain, opened: true})["points"].first["id"]
    ).to eq "master_outlet"
    readings =
      [5, 8, 12, 20, 35, 60].map do |force|
        {force: force, travel: twin_disc.travel_mm(twin_disc.pressure_mpa(force), air_ml: 0.5)}
      end
    found = ask(:post, "/compute/lever-fits", {sheet: twin_disc_plain, readings: readings})
    expect(found.dig("verdict", "air_ml")).to be_within(1e-6).of(0.5)
  end

  it "says what to read while there is too little" do
    expect(ask(:post, "/compute/lever-fits", {sheet: twin_disc_plain, readings: []})["wanted"]).to include("N")
  end

  it "refuses a comparison with more changes than anybody would look at" do
    changes = Array.new(60) { |index| {part: "left_hose", field: "length", value: 700 + index} }
    candidates = Array.new(300) { |index| {key: "k#{index}", changes: changes} }
    answer = ask(:post, "/compute/sizings", {sheet: twin_disc_plain, candidates: candidates})
    expect([last_response.status, pointers(answer)]).to eq [422, ["candidates"]]
    ask(:post, "/compute/sizings", {sheet: twin_disc_plain, candidates: candidates.first(16)})
    expect(last_response.status).to eq 200
  end

  it "points into what was sent" do
    bad =
      twin_disc_plain.tap do |plain|
        plain["parts"].find { |part| part["id"] == "master" }["values"]["bore"]["value"] = "wide"
      end
    expect(pointers(ask(:post, "/compute/circuits", {sheet: bad}))).to eq ["sheet/parts/master/bore"]
    expect(
      pointers(
        ask(
          :post,
          "/compute/sizings",
          {sheet: twin_disc_plain, candidates: [{bore: 19, push_offset: 18}, {bore: 99, push_offset: 18}]}
        )
      )
    ).to eq ["candidates/1/bore"]
    expect(
      pointers(ask(:post, "/compute/lever-fits", {sheet: twin_disc_plain, readings: [{force: 5, travel: "far"}]}))
    ).to eq ["readings/0/travel"]
  end
end
