# frozen_string_literal: true

# What a client calls the parts of its circuit is its own business: nothing may hang on an id.
RSpec.describe "Part ids", :api do
  # @return [Hash{String => String}] every part's id => another one
  def renamed(plain)
    plain["parts"].to_h { |part| [part["id"], "part_#{SecureRandom.hex}"] }
  end

  def with_ids(plain, ids)
    parts =
      plain["parts"].map do |part|
        part.merge("id" => ids.fetch(part["id"]), "from" => ids.fetch(part["from"], part["from"])).compact
      end
    plain.merge("parts" => parts)
  end

  # An answer with the former ids back in their places.
  def with_former(answer, ids)
    JSON.parse(ids.reduce(JSON.generate(answer)) { |text, (former, id)| text.gsub("\"#{id}\"", "\"#{former}\"") })
  end

  def computed(plain)
    readings =
      [[20, 12.5], [60, 13.9], [120, 15.4], [180, 16.9]].map { |force, travel| {force: force, travel: travel} }
    {
      "/compute/circuits" => {},
      "/compute/sizings" => {},
      "/compute/bleed-plans" => {
        opened: true
      },
      "/compute/lever-fits" => {
        readings: readings
      },
      "/compute/lever-curves" => {
        candidates: [{bore: 14, push_offset: 20}]
      }
    }.map do |path, more|
      answer = ask(:post, path, {sheet: plain, **more})
      expect(last_response.status).to eq 200
      answer
    end
  end

  it "change nothing of what is computed" do
    [twin_disc_plain, bicycle_plain, clutch_plain].each do |plain|
      expected = computed(plain)
      ids = renamed(plain)
      expect(computed(with_ids(plain, ids)).map { |answer| with_former(answer, ids) }).to eq expected
    end
  end

  it "are kept by PUT and PATCH, whichever part they name" do
    add_circuit("front", twin_disc_plain)
    5.times do
      ids = renamed(twin_disc_plain)
      answer = ask(:put, "/circuits/front", {name: "Front brake", sheet: with_ids(twin_disc_plain, ids)})
      expect(last_response.status).to eq 200
      expect(answer["sheet"]["parts"].map { |part| part["id"] }).to match_array ids.values
      {
        "fluid" => ["volume", 61],
        "master" => ["bore", 16],
        "lever" => ["push_offset", 19],
        "reservoir" => ["usable", 20]
      }.each do |part, (field, value)|
        changed =
          ask(
            :patch,
            "/circuits/front",
            {changes: [{part: ids[part], field: field, value: value, source: "measured"}]}
          )
        expect(last_response.status).to eq 200
        expect(changed["sheet"]["parts"].find { |each| each["id"] == ids[part] }["values"][field]).to include(
          "value" => value
        )
      end
    end
  end

  it "carry a job from route to reading" do
    ids = renamed(twin_disc_plain)
    add_circuit("front", with_ids(twin_disc_plain, ids))
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    ready("j")
    entry("j", "choose", "fluid", {fluid: "dot4", stamped: "dot4"})
    points = stage("j", "bleed")["points"].map { |point| point["id"] }
    expect(points).to match_array ids.values_at("left_caliper", "right_caliper")
    entry("j", "bleed", "stroke")
    expect(last_response.status).to eq 201
    expect(ask(:get, "/jobs/j/supplies")["lines"]).not_to be_empty
  end
end
