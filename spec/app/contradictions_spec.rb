# frozen_string_literal: true

# Two answers about one thing, through the API in both orders and through an archive: either the second is refused at
# its field, or the job stops.
RSpec.describe "Contradictions", :api do
  before do
    plain = twin_disc_plain
    plain["parts"].find { |part| part["part"] == "fluid" }["values"].delete("stamped")
    add_circuit("c", plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "c"})
  end

  def said(stage, kind, **data)
    entry("j", stage, kind, data)
    last_response.status
  end

  def stop = ask(:get, "/jobs/j")["stop"].to_s

  def cap(fluid) = said("ask", "intake", question: "fluid_marked", value: fluid)

  def in_it(fluid) = said("ask", "intake", question: "fluid_found", value: fluid)

  def pour(fluid, stamped = fluid) = said("choose", "fluid", fluid: fluid, stamped: stamped)

  # The archive of this shop with a journal that could not have been sent, imported by another shop.
  def through_an_archive(*forged)
    get "/api/archive"
    archive = JSON.parse(last_response.body)
    archive["jobs"].first["entries"] += forged.map.with_index do |(stage, kind, data), index|
      {"id" => "forged-#{index}", "stage" => stage, "kind" => kind, "data" => {"v" => 1, **data},
       "at" => "2026-03-14T09:26:00Z", "by" => "bench"}
    end
    @store = @app = @_rack_test_current_session = @_rack_test_sessions = nil
    ask(:post, "/archive", raw: JSON.generate(archive))
  end

  def cap_entry(fluid) = ["ask", "intake", {"question" => "fluid_marked", "value" => fluid}]

  def poured_entry(fluid) = ["choose", "fluid", {"fluid" => fluid, "stamped" => fluid}]

  describe "the class on the cap and the fluid that goes in" do
    it "are of one family: the second answer is refused at its field, naming the first" do
      cap("dot4")
      answer = entry("j", "choose", "fluid", {fluid: "mineral", stamped: "mineral"})
      expect([last_response.status, pointers(answer)]).to eq [422, ["data/stamped"]]
      expect(answer.to_s).to include "the cap says DOT 4 glycol"
      expect(stop).to eq ""
    end

    it "stop the job when the cap was read after the fluid was chosen, until one of them is corrected" do
      expect([pour("dot4"), cap("mineral")]).to eq [201, 201]
      expect(stop).to start_with "Wrong or mixed fluid"
      expect(said("choose", "pulled", line: "fluid", reason: "bought")).to eq 422
      expect(pour("mineral")).to eq 201
      expect(stop).to eq ""
    end

    it "stop it no longer once the chosen fluid is taken back" do
      pour("dot4")
      chosen = ask(:get, "/jobs/j/entries?limit=100")["items"].find { |each| each["kind"] == "fluid" }["id"]
      cap("mineral")
      entry("j", "choose", "undo", {}, corrects: chosen)
      expect([last_response.status, stop]).to eq [201, ""]
    end

    it "through an archive, in both orders" do
      answer = through_an_archive(cap_entry("dot4"), poured_entry("mineral"))
      expect(answer["refused"].map { |each| each.slice("stage", "kind") })
        .to eq [{"stage" => "choose", "kind" => "fluid"}]
      expect(ask(:get, "/jobs/j")["on_hold"].to_s).not_to eq ""
    end

    it "through an archive, the fluid first" do
      expect(through_an_archive(poured_entry("dot4"), cap_entry("mineral"))["refused"]).to eq []
      expect(stop).to start_with "Wrong or mixed fluid"
    end
  end

  describe "the class on the cap and what seems to be in it" do
    [%i[cap in_it], %i[in_it cap]].each do |order|
      it "stop the job, #{order.join(" first, then ")}" do
        {cap: "dot4", in_it: "mineral"}.sort_by { |which, _| order.index(which) }
          .each { |which, fluid| public_send_said(which, fluid) }
        expect(stop).to start_with "Wrong or mixed fluid"
      end
    end

    def public_send_said(which, fluid) = (which == :cap) ? cap(fluid) : in_it(fluid)

    it "lead to the repair that renews every rubber part, and to nothing less" do
      answer_stops("j")
      in_it("mineral")
      expect(said("ask", "route", route: "flush")).to eq 422
      expect(said("ask", "route", route: "renew_rubber")).to eq 201
      expect(stop).to eq ""
    end

    it "are referred on an ABS circuit without the tool" do
      answer_stops("j")
      said("ask", "intake", question: "abs", value: "fitted")
      said("ask", "intake", question: "abs_tool", value: "no")
      in_it("mineral")
      expect(said("ask", "route", route: "renew_rubber")).to eq 422
      expect(stop).to end_with "on ABS without its tool, refer."
    end
  end

  it "read DOT 5 and DOT 5.1 twice: under Ask, and again where the fluid is chosen" do
    expect(pour("dot51")).to eq 422
    cap("dot51")
    expect([pour("dot5", "dot51"), pour("dot51")]).to eq [422, 201]
  end

  it "take the colours of silicone and of a maker's oil for what they are, and murky silicone for suspect" do
    {"dot4" => true, "dot5" => false, "mineral" => false}.each do |fluid, stops|
      cap(fluid)
      said("ask", "finding", finding: "fluid_colour", value: "foreign_tint")
      expect([fluid, stop != ""]).to eq [fluid, stops]
    end
    said("ask", "finding", finding: "fluid_colour", value: "milky")
    expect(stop).to eq ""
    cap("dot5")
    expect(stop).to start_with "Wrong or mixed fluid"
  end

  it "set “over two years” against the day in the record, whichever came first" do
    sheet = ask(:get, "/circuits/c")["sheet"]
    fluid = sheet["parts"].find { |part| part["part"] == "fluid" }["id"]
    said("ask", "intake", question: "fluid_date", value: "over_2")
    expect(stage("j", "ask")["against_record"]).to eq []
    ask(:patch, "/circuits/c", {changes: [{part: fluid, field: "changed_on", value: "2025-11-02"}]})
    expect(last_response.status).to eq 200
    expect(stage("j", "ask")["against_record"])
      .to contain_exactly(a_string_including("2 Nov 2025").and(including("over two years ago")))
    said("ask", "intake", question: "fluid_date", value: "under_1")
    expect(stage("j", "ask")["against_record"]).to eq []
  end

  it "know a cracked caliper: only that caliper renewed puts it right" do
    answer_stops("j")
    expect(said("ask", "flag", flag: "R10")).to eq 422
    expect(said("ask", "flag", flag: "R10", part: "left_caliper")).to eq 201
    expect(stop).to end_with "left caliper. Reject the unit. No reseal."
    expect(said("ask", "route", route: "renew_mc")).to eq 422
    expect(said("ask", "route", route: "renew_slave")).to eq 201
    said("ask", "at", places: ["far_end.right_caliper"])
    expect(stop).to include "Reject the unit"
    said("ask", "at", places: ["far_end.left_caliper"])
    expect(stop).to eq ""
  end

  describe "a bleeding method that pushes back, and ABS" do
    def abs(value) = said("ask", "intake", question: "abs", value: value)

    before { ready("j") }

    it "the method first: what may be done is judged as things stand now" do
      expect(said("bleed", "method", method: "push_back")).to eq 201
      look_before_fluid("j")
      expect(said("bleed", "run", ml: 0.5)).to eq 201
      abs("fitted")
      answer = entry("j", "bleed", "run", {ml: 0.5})
      expect([last_response.status, answer.to_s]).to match [422, /ABS/]
    end

    it "ABS first: the record has to say it too, and then the method is refused at its field" do
      abs("fitted")
      expect(stop).to include "different things about ABS"
      ask(:patch, "/circuits/c", {changes: [{part: "vehicle", field: "abs", value: "fitted", source: "measured"}]})
      answer_stops("j")
      said("ask", "finding", finding: "abs_state", value: "clear")
      expect(stop).to eq ""
      answer = entry("j", "bleed", "method", {method: "push_back"})
      expect([last_response.status, pointers(answer)]).to eq [422, ["data/method"]]
    end

    it "through an archive" do
      answer = through_an_archive(["ask", "intake", {"question" => "abs", "value" => "fitted"}],
        ["bleed", "method", {"method" => "push_back"}], ["bleed", "run", {"ml" => 0.5}])
      expect(answer["refused"].map { |each| each["kind"] }).to include "method"
    end
  end

  describe "linked brakes, and an order" do
    before { ready("j") }

    def linked = said("ask", "intake", question: "linked", value: "linked")

    it "linked first: nothing moves before the order of the service information stands" do
      linked
      answer = entry("j", "bleed", "stroke")
      expect([last_response.status, answer.to_s]).to match [422, /order of the service information/]
      points = stage("j", "bleed")["points"].map { |point| point["id"] }
      expect(said("bleed", "order", points: points.first(1))).to eq 422
      expect([said("bleed", "order", points: points.reverse), said("bleed", "stroke")]).to eq [201, 201]
      expect(stage("j", "bleed")["points"].map { |point| point["id"] }).to eq points.reverse
    end

    it "an order first: none is wanted where nothing is linked, and one stroke taken before it was known stands" do
      expect(said("bleed", "order", points: ["nip_left"])).to eq 422
      expect([said("bleed", "stroke"), linked]).to eq [201, 201]
      expect(said("bleed", "stroke")).to eq 422
      expect(stage("j", "bleed")["total_strokes"]).to eq 1
    end

    it "through an archive" do
      answer = through_an_archive(["ask", "intake", {"question" => "linked", "value" => "linked"}],
        ["bleed", "stroke", {}])
      expect(answer["refused"].map { |each| each["kind"] }).to eq ["stroke"]
    end
  end

  describe "an open nipple, and a lever that is read" do
    before { ready("j") }

    def open_nipple = %w[hold open].map { |beat| said("bleed", "beat", beat: beat) }.last

    def read = said("feel", "reading", force: 40, travel: 12)

    it "open first: nothing can be read" do
      expect(open_nipple).to eq 201
      answer = entry("j", "feel", "reading", {force: 40, travel: 12})
      expect([last_response.status, answer.to_s]).to match [422, /open/]
      expect(said("feel", "hold", creep: 0.2)).to eq 422
    end

    it "read first: what was read before it was opened no longer counts" do
      expect(read).to eq 201
      expect(stage("j", "feel")["readings"].size).to eq 1
      open_nipple
      expect(stage("j", "feel")["readings"]).to eq []
    end
  end
end
