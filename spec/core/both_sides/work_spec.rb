# frozen_string_literal: true

RSpec.describe "Limits of Ask and Choose" do
  let(:found) { sheet(twin_disc_plain) }
  let(:brake) { JobInMemory.new(found) }

  describe "a diagnosis" do
    facts = {"side" => "brake", "abs" => "none"}

    # Every pair of answers to two findings of a brake.
    let(:diagnoses) do
      kind = found.kind
      rows = Sandbag::Tables.rows("findings").select { |row| kind.suits?(row) && row["for"] != "c" && !row["many"] }
      answers = rows.flat_map { |row| row["values"].keys.map { |value| [row["id"], value] } }
      answers.combination(2).reject { |one, other| one.first == other.first }.sample(900, random: Random.new(4))
        .map { |pair| Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new(pair.to_h { |id, value| [id, [value]] }), facts) }
    end

    it "proposes a repair from 60 % of one cause, or 75 % of causes that one repair cures, and names those from 5 %" do
      near = 0
      diagnoses.each do |diagnosis|
        ranks = diagnosis.ranks
        next if ranks.first.leads
        top = ranks.first.share
        routes = ranks.group_by(&:route).transform_values { |each| each.sum(&:share) }
        near += 1 if top.between?(0.54, 0.66) || routes.values.max.between?(0.68, 0.82)
        proposal = diagnosis.proposal
        expect(!proposal.nil?).to eq(top >= 0.60 || routes.values.max >= 0.75), ranks.first(3).inspect
        next unless proposal
        named = ranks.select { |rank|
          rank.route == proposal[:route] && rank.share >= 0.05
        }.map { |rank| rank.cause["id"] }
        expect(proposal[:causes]).to eq named
      end
      expect(near).to be > 20
    end

    it "lets what is merely due lead only from half of the likeliest" do
      due, certain = Sandbag::Tables.rows("proofs").partition { |row| row["due"] }
      merely = due.flat_map { |row| row["proves"] } - certain.flat_map { |row| row["proves"] }
      found = diagnoses.flat_map do |diagnosis|
        best = diagnosis.shares.values.max
        diagnosis.ranks.select { |rank| rank.proof && merely.include?(rank.cause["id"]) }
          .map { |rank| [rank.share / best, rank.leads] }
      end
      expect(found.reject { |share, leads| leads == (share >= 0.5) }).to be_empty
      expect(found.map(&:last).tally.values.min).to be > 5
    end

    it "offers the test that tells most for its minutes, each with two of handling, walked together where one walks" do
      diagnoses.first(40).each do |diagnosis|
        askable = Sandbag::Tables.rows("findings").select { |row| found.kind.suits?(row) && row["for"] != "c" && !row["opens"] }
        tests = Sandbag::Ask::NextTest.new(diagnosis, askable)
        offers = tests.best(1)
        begun = diagnosis.findings.to_h.keys.map { |id| Sandbag::Tables.find("findings", id)["walk"] }
        worth = offers.sum(&:gain_bits) / (offers.sum { |offer| offer.minutes + 2 } +
          (begun.include?(offers.first.finding["walk"]) ? 0 : offers.first.walk["minutes"]))
        alone = askable.reject { |row| diagnosis.findings.known?(row["id"]) }
          .reject { |row| Sandbag::Tables.find("walks", row["walk"])["together"] }
        alone.each do |row|
          walk = begun.include?(row["walk"]) ? 0 : Sandbag::Tables.find("walks", row["walk"])["minutes"]
          expect(tests.gain_bits(row) / (row["minutes"] + 2 + walk)).to be <= worth + 1e-9
        end
      end
    end

    it "says what an answer would raise where it raises by 5 points, else what it would lower" do
      diagnoses.first(25).each do |diagnosis|
        askable = Sandbag::Tables.rows("findings").select { |row| found.kind.suits?(row) && row["for"] != "c" }
        Sandbag::Ask::NextTest.new(diagnosis, askable).best(2).each do |offer|
          offer.answers.each do |value, told|
            after = diagnosis.with(offer.finding["id"], value).shares
            moves = after.to_h { |code, share| [code, share - diagnosis.shares[code]] }
            wanted = (moves.values.max >= 0.05) ? moves.values.max : moves.values.min
            expect(told[:to] - told[:from]).to be_within(1e-9).of(wanted)
          end
        end
      end
    end

    both_sides "Ask::NextTest::WORDS_UNTIL", "Ask::Diagnosis::SURE", "Ask::Diagnosis::SURE_TOGETHER",
      "Ask::Diagnosis::DUE_SHARE", "Ask::Diagnosis::NOTABLE", "Ask::NextTest::HANDLING_MINUTES", "Ask::NextTest::MUCH",
      2 => true, 3 => false do |known|
      answered = [%w[lever_feel spongy], %w[lever_travel long], %w[pump_up rises]].first(known).to_h { |id, value|
        [id, [value]]
      }
      diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new(answered), facts)
      askable = Sandbag::Tables.rows("findings").select { |row| found.kind.suits?(row) && row["for"] != "c" && !row["opens"] }
      named = askable.map { |row| row["id"] }.last
      Sandbag::Ask::NextTest.new(diagnosis, askable, named: [named]).best(1).map { |offer|
        offer.finding["id"]
      }.include?(named)
    end
  end

  describe "money" do
    def advice(kit_minor)
      route = Sandbag::Job::Route.find("reseal_mc")
      unit = Sandbag::Job::Route.find(route.condemned)
      prices = Sandbag::Tables.ids("prices").to_h { |id| [id, 0] }
      prices[(route.things - unit.things).first] = kit_minor
      prices[(unit.things - route.things).first] = 1000
      shop = Sandbag::Shop.new("prices" => prices, "hourly_rate_minor" => 0)
      Sandbag::Ask::Estimate.kit_or_unit(route, "motorcycle", 100, shop)[:advice]
    end

    both_sides "Ask::Estimate::UNIT_FROM", 700 => false, 701 => true do |kit|
      advice(kit).include?("offer the unit")
    end

    both_sides "Ask::Estimate::ML", 100 => 400, 101 => 404 do |need_ml|
      shop = Sandbag::Shop.new("prices" => {"fluid_100ml" => 400})
      Sandbag::Ask::Estimate.new(Sandbag::Job::Route.find("flush"), "motorcycle", need_ml, shop).lines.last[:minor]
    end
  end

  describe "a cylinder that is sized" do
    def candidate
      Sandbag::Choose::Candidate.new(twin_disc, bore_mm: 19, push_offset_mm: 20)
    end

    both_sides "Choose::Candidate::WARN_SHARE", 0.80 => 0, 0.81 => 1, 1.0 => 1, 1.01 => 0 do |share|
      candidate.warnings(reserve_stroke_share: share, reserve_travel_share: 0.1).size
    end

    it "warns of little reserve in either, stroke or travel" do
      expect(candidate.warnings(reserve_stroke_share: 0.1, reserve_travel_share: 0.9).size).to eq 1
    end

    both_sides "Choose::Sizing::MOST_CANDIDATES", 300 => false, 301 => true do |count|
      sizes = Array.new(count) { |number| [10 + number / 100.0, 20] }
      refused? { Sandbag::Choose::Sizing.new(found, sizes: sizes) }
    end
  end

  describe "what is waited for" do
    both_sides "Ask::Wait::FAR_YEARS", 5 => false, 6 => true do |years|
      refused? do
        Sandbag::Ask::Wait.of({"wait" => "parts_on_order", "until" => "#{2026 + years}-03-14"}, "2026-03-14T09:26:00Z")
      end
    end
  end

  describe "what lies on the shelf" do
    def bottle(id, size, opened_on: nil, use_by: "unknown")
      Sandbag::Shelf::Item.new(id: id, kind: "bottle", name: id, amount: size, opened_on: opened_on,
        fields: {"fluid" => "dot4", "size" => size, "use_by" => use_by})
    end

    def picked(need_ml, *bottles)
      Sandbag::Choose::BottlePlan.new(need_ml, "dot4", bottles, today: Date.new(2026, 3, 14), clutch: false).to_h
    end

    it "opens the fewest bottles of those that leave the least" do
      two = [bottle("half", 500), bottle("other", 500), bottle("litre", 1000)]
      expect(picked(900, *two)[:picked].map { |each| each[:item] }).to eq %w[litre]
      expect(picked(900, *two.reverse)[:picked].map { |each| each[:item] }).to eq %w[litre]
    end

    both_sides "Choose::BottlePlan::MOST_SEALED", 10 => 0.0, 11 => 50.0 do |count|
      picked(50.0 * count, *Array.new(count) { |number| bottle(format("b%02d", number), 50) })[:short_ml]
    end

    both_sides "Choose::BottlePlan::USUAL_SIZE_ML", "Choose::FluidNeed::TRIM_ML", 505 => 1, 506 => 2 do |need|
      picked(need)[:buy].then { |buy| (buy[:size_ml] == 500) ? buy[:count] : buy }
    end

    def hose(length)
      values = found.values(found.part("left_hose"))
      Sandbag::Choose::HoseMatch.objections({"length" => length, "hose_kind" => "braided", "ends" => "banjo"}, values,
        found.kind).map { |each| !each.nil? }
    end

    both_sides "Choose::HoseMatch::LONGER", 749 => [true, false], 750 => [false, false], 810 => [false, false],
      811 => [false, true] do |length|
      hose(length)
    end

    both_sides "Choose::UnitMatch::OFFSET_MM", "Choose::KitMatch::SAME_MM",
      [19.02, 20] => false, [19.03, 20] => true, [19, 20.5] => false, [19, 20.51] => true,
      [19, 19.49] => true do |bore, offset|
      fields = {"bore" => bore.to_f, "push_offset" => offset.to_f,
                "construction" => found.value("master", "construction"), "family" => "glycol"}
      !Sandbag::Choose::UnitMatch.objections(fields, found, "glycol").first.nil?
    end

    both_sides "Choose::WasherMatch::PLAY_MM", "Choose::WasherMatch::SAME_MM",
      -0.11 => true, -0.09 => false, 0.59 => false, 0.61 => true do |more|
      lines = [found.change("left_hose", "bolt", "10", "measured")].map { |now| now.values(now.part("left_hose")) }
      !Sandbag::Choose::WasherMatch.objections({"bore" => 10 + more, "metal" => "copper"}, lines).first.nil?
    end

    both_sides "Choose::FluidNeed::SPARE", 1 => 0.2 do |_|
      lines = Sandbag::Choose::FluidNeed.of(Sandbag::Airway::Plan.new(found, opened: false), drained: false,
        method: {"label" => "It", "waste_ml" => 10})[:lines]
      (lines.last[:ml] / lines[0..-2].sum { |line| line[:ml] }).round(9)
    end
  end
end
