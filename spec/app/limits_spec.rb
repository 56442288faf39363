# frozen_string_literal: true

# Circuits at the edges of what may be entered, through every computing endpoint.
RSpec.describe "At the limits", :api do
  # A measure at its least, its most, and one step beyond and inside of either.
  def edges(row)
    least, most = row["min"] || row["above"], row["max"]
    step = [most.abs * 1e-6, 1e-9].max
    [least, least + step, most, most - step, least - step, most + step]
  end

  def computed(plain)
    readings = [6, 20, 60, 120].map { |force| {force: force, travel: 3 + force / 20.0} }
    bodies = {
      "circuits" => {
        sheet: plain
      },
      "sizings" => {
        sheet: plain,
        cylinders: "usual"
      },
      "lever-curves" => {
        sheet: plain,
        candidates: [{key: "a", bore: 14, push_offset: 20}]
      },
      "explanations" => {
        sheet: plain,
        candidate: {
          bore: 14,
          push_offset: 20
        }
      },
      "bleed-plans" => {
        sheet: plain
      },
      "lever-fits" => {
        sheet: plain,
        readings: readings
      }
    }
    bodies.map { |path, body| [path, ask(:post, "/compute/#{path}", body), last_response.status] }
  end

  def numbers(thing)
    case thing
    when Hash then thing.values.flat_map { |each| numbers(each) }
    when Array then thing.flat_map { |each| numbers(each) }
    when Numeric then [thing]
    else []
    end
  end

  %i[twin_disc_plain bicycle_plain clutch_plain].each do |name|
    it "finds only finite numbers or a refusal on a #{name.to_s.delete_suffix("_plain").tr("_", " ")}" do
      plain = public_send(name)
      kind = plain["kind"]
      rows =
        Sandbag::Tables
          .rows("circuit_fields")
          .select { |row| row["type"] == "measure" && (row["only"].nil? || row["only"].include?(kind)) }
      measured =
        plain["parts"].flat_map do |part|
          rows.select { |row| row["part"] == part["part"] }.map { |row| [part["id"], row] }
        end
      (measured.zip + Array.new(60) { measured.sample(3, random: Random.new(Kernel.rand(2**31))) }).each do |changes|
        values = changes.map { |id, row| [id, row["field"], edges(row).sample(random: Random.new(Kernel.rand(2**31)))] }
        parts =
          plain["parts"].map do |part|
            own = values.select { |id, _, _| id == part["id"] }
            part.merge(
              "values" =>
                part["values"].merge(
                  own.to_h { |_, field, value| [field, {"value" => value, "source" => "measured"}] }
                )
            )
          end
        computed(plain.merge("parts" => parts)).each do |path, answer, status|
          expect(status).to(eq(200).or(eq(422)), "#{path} answers #{status} to #{values}")
          expect(numbers(answer)).to all(be_finite), "#{path} to #{values}"
        end
      end
    end
  end

  it "takes a shop at its limits, and shows every job by it" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    [
      {hourly_rate_minor: "0", prices: Sandbag::Tables.rows("prices").to_h { |row| [row["id"], "0"] }},
      {hourly_rate_minor: "9999999"},
      {limits: {safe_gap: 0}},
      {limits: {safe_gap: 100}},
      {limits: {effort_hand: 1500}},
      {fluid_months: 12}
    ].each do |settings|
      ask(:put, "/shop", settings)
      next if last_response.status == 422
      expect(ask(:get, "/jobs/j/stages/ask")["ask"]["costs"]).to be_a(Hash)
      expect(last_response.status).to eq 200
    end
  end
end
