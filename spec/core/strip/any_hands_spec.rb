# frozen_string_literal: true

# Strip, Measure and Build under hands that do anything in any order: whatever is let through, the tray still adds up.
RSpec.describe "A cylinder in anybody's hands" do
  def job_on(construction)
    plain = (construction == "bike_stop_plate") ? bicycle_plain : twin_disc_plain
    JobInMemory
      .new(sheet(plain).change("master", "construction", construction, "measured"))
      .laid_out(fluid: plain["parts"].last["values"]["stamped"]["value"])
      .set_up
  end

  # What somebody may do next, right or wrong. dice: whole numbers from 0.
  def move(job, dice)
    pick = ->(from) { from[dice[1] % from.size] }
    strip, build = job.state.strip, job.state.build
    part = pick.call(strip.work.parts).id
    case dice[0] % 12
    when 0..2 then ["strip", "step", {"step" => strip.step&.id || "lid"}]
    when 3..5 then ["strip", "counted", {"part" => part, "count" => dice[2] % 4}]
    when 6 then ["strip", "skipped", {"step" => pick.call(strip.work.steps).id, "reason" => "not on this one"}]
    when 7 then ["build", "facing",
      {"part" => part, "faces" => pick.call(Sandbag::Tables.rows("directions"))["id"]}]
    when 8 then ["build", "step", {"step" => build.step&.id || "piston"}]
    when 9 then ["build", "kept_out", {"part" => part, "count" => dice[2] % 4}]
    when 10 then ["build", "binned", {"part" => part, "reason" => "bent"}]
    else ["build", "scrapped", {"count" => dice[2] % 20}]
    end
  end

  # A step of Build by somebody who answers the question on the way.
  def build_on(job)
    return unless job.state.build.step
    job.face(job.state.build.step)
    job.add("build", "step", {"step" => job.state.build.step.id})
  end

  def expect_to_add_up(job)
    tray = job.state.strip.tray
    reckonings = [job.state.build.reckoning, job.state.fit.put_back.reckoning]
    cells = reckonings.flat_map { |reckoning| reckoning.to_h[:tray] }
    expect(cells.sum { |cell| cell[:out] }).to eq tray.pieces
    expect(cells.map { |cell| cell[:number] }).to match_array (1..cells.size).to_a
    cells.each { |cell| expect(cell[:left]).to be_between(0, cell[:out]) }
    expect(reckonings.flat_map(&:leftovers).sum { |left| left[:count] }).to eq cells.sum { |cell| cell[:left] }
    counted_apart = %w[crush_washer olive hose_insert].sum { |part| tray.out(part) }
    expect(reckonings.sum(&:scrap_wanted)).to be_between(tray.cells.select { |cell|
      cell.part.renewed?
    }.sum(&:out) - counted_apart, tray.pieces)
  end

  def tries(seed, length)
    random = Random.new(seed)
    Array.new(length) { Array.new(3) { random.rand(1000) } }
  end

  %w[bar_radial bike_stop_plate].each do |construction|
    12.times do |seed|
      it "keeps #{construction} adding up through the taps of seed #{seed}" do
        job = job_on(construction)
        job.strip_all.passed if seed.odd?
        let_through = tries(seed, 45).count do |dice|
          problems { build_on(job) } if dice[2].even?
          problems { job.add(*move(job, dice)) }.empty?.tap { expect_to_add_up(job) }
        end
        expect(let_through).to be > 5
      end
    end

    it "is never done on #{construction} while anything is missing, whichever one thing that is" do
      job = job_on(construction).strip_all.passed
      build_on(job) while job.state.build.step
      expect(job.state.build).not_to be_done
      job.add("build", "scrapped", {"count" => job.state.build.reckoning.scrap_wanted})
      job.state.build.checks.each do |check|
        expect(job.state.build).not_to be_done
        job.add("build", "check", {"check" => check.dig(:row, "id"), "pass" => true})
      end
      expect(job.state.build).to be_done
      spoilt = [
        ["kept_out", {"part" => job.state.build.reckoning.tray.cells.first.part.id, "count" => 1}],
        ["scrapped", {"count" => job.state.build.reckoning.scrap_wanted - 1}],
        ["check", {"check" => job.state.build.checks.last.dig(:row, "id"), "pass" => false}]
      ]
      spoilt.each do |kind, data|
        taken = job.add("build", kind, data)
        expect(job.state.build).not_to be_done
        job.undo("build", taken)
        expect(job.state.build).to be_done
      end
    end

    it "never leaves more of #{construction} in the tray than came out, when a count is put right later" do
      job = job_on(construction).strip_all.passed.build_all
      several = job.state.build.reckoning.tray.cells.first
      job.add("strip", "counted", {"part" => several.part.id, "count" => 3})
      several = job.state.build.reckoning.tray.cells.first
      expect(several.out).to eq 3
      job.add("build", "kept_out", {"part" => several.part.id, "count" => several.out})
      several.out.downto(0) do |count|
        job.add("strip", "counted", {"part" => several.part.id, "count" => count})
        expect(job.state.build.reckoning.leftovers.sum { |left| left[:count] }).to eq count
        expect_to_add_up(job)
      end
    end

    it "stands on #{construction} where it stood after any one entry is taken back" do
      job = job_on(construction)
      tries(99, 25).each do |dice|
        before = %w[strip measure build].map { |stage| job.view(stage).except(:recent) }
        entry = move(job, dice)
        next unless problems { job.add(*entry) }.empty?
        job.undo(entry.first, job.entries.last.id)
        expect(%w[strip measure build].map { |stage| job.view(stage).except(:recent) }).to eq before
        problems { job.add(*entry) }
      end
    end
  end
end
