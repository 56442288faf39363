# frozen_string_literal: true

RSpec.describe "Red flags through the API", :api do
  Sandbag::Knowledge.table("red_flags").each do |flag|
    it "#{flag["id"]} stops the job, is not lifted without lead and reason, and is then on the card" do
      add_circuit("front", twin_disc_plain)
      ask(:post, "/jobs", {id: "j", circuit_id: "front"})
      expect(entry("j", "ask", "flag", {"flag" => flag["id"]})["stop"]).to start_with(flag["label"])
      expect(pointers(entry("j", "bleed", "stroke"))).to eq ["stage"]
      expect(pointers(entry("j", "ask", "lifted", {"flag" => flag["id"], "reason" => "x"}))).to eq ["data/lead"]
      expect(entry("j", "ask", "lifted", {"flag" => flag["id"], "lead" => "R. Tarn", "reason" => "put right"})).not_to have_key("stop")
      expect(entry("j", "bleed", "stroke").dig("bleed", "total_strokes")).to eq 1
    end
  end

  it "refuses contradictory, empty, unknown and misspelt findings, and stores none" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    [{"finding" => "lever_feel", "value" => ""}, {"finding" => "lever_feal", "value" => "spongy"}, {"finding" => "lever_feel", "value" => "spungy"},
      {"finding" => "slave_lift", "value" => "short"}, {"finding" => "abs_state", "value" => "clear"}, {}, {"finding" => ["lever_feel"], "value" => "firm"}].each do |data|
      found = entry("j", "ask", "finding", data)
      expect(last_response.status).to eq(422), data.to_s
      expect(found["errors"].first["accepted"]).not_to be_nil
    end
    expect(ask(:get, "/jobs/j/entries")["items"]).to be_empty
    entry("j", "ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    expect(entry("j", "ask", "finding", {"finding" => "lever_feel", "value" => "firm"}).dig("ask", "findings")).to eq("lever_feel" => ["firm"])
  end
end
