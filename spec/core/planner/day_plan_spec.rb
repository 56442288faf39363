# frozen_string_literal: true

RSpec.describe Sandbag::Planner::DayPlan do
  piece = Sandbag::Planner::Work::Piece

  define_method(:work) do |id, *pieces, **more|
    Sandbag::Planner::Work.new(id: id, pieces: pieces.map { |minutes, wait, at|
      piece.new(label: "work", minutes: minutes, wait: wait || 0, at: at)
    }, **more)
  end

  def plan(works, benches: 1, minutes: 480)
    described_class.new(works, benches: benches, minutes: minutes)
  end

  def told(found)
    found.slots.map { |slot| [slot.work.id, slot.piece, slot.bench, slot.start, slot.finish] }
  end

  it "fills a wait with another job, by hand" do
    # 30, wait 10, 5 of the one; 10 of the other in the wait
    found = plan([work("leak", [30, 10], [5]), work("quick", [10])])
    expect(told(found)).to eq [["leak", 0, 0, 0, 30], ["quick", 0, 0, 30, 40], ["leak", 1, 0, 40, 45]]
    expect(found.lower_bound).to eq 45
    expect(found).to be_exact
  end

  it "keeps a promise that can be kept where there are too many jobs to try every order" do
    found = plan([
      work("a", [55, 40], [8], [7, 10]), work("promised", [180], [10, 10], [10], promised: 214),
      work("b", [35, 5], [8, 10], [7, 10]), work("c", [40, 5], [5, 20], [5, 10]),
      work("d", [65, 10], [5], [5, 40], family: "mineral"), work("e", [115, 20], [5, 5], [5, 5], family: "mineral"),
      work("f", [85], [8, 20], [7, 10]), work("g", [5, 10], [5, 40])
    ])
    expect(found).not_to be_exact
    expect(found.late).to eq []
  end

  it "keeps a promise before it finishes more, and says which it cannot keep" do
    promised = work("promised", [50], promised: 60)
    found = plan([work("a", [30]), work("b", [30]), promised], minutes: 90)
    expect(told(found).first).to eq ["promised", 0, 0, 0, 50]
    expect(found.late).to eq []
    expect(plan([work("late", [50], promised: 40)]).late.map(&:id)).to eq ["late"]
  end

  it "says what does not fit, and does the most it can" do
    found = plan([work("long", [100]), work("a", [40]), work("b", [45])], minutes: 90)
    expect(found.unfinished.map(&:id)).to eq ["long"]
    expect(found.most_finished).to eq 2
    overnight = plan([work("tied", [20, 720], [30]), work("a", [40])], minutes: 90)
    expect(overnight.unfinished.map(&:id)).to eq ["tied"]
    expect(told(overnight).map(&:first)).to contain_exactly("tied", "a")
  end

  it "keeps a fluid family together where it costs nothing" do
    works = [work("g1", [10], family: "glycol"), work("m1", [10], family: "mineral"),
      work("g2", [10], family: "glycol"), work("m2", [10], family: "mineral")]
    expect(plan(works).score.changes).to eq 1
    expect(plan(works, benches: 2).score.changes).to eq 0
  end

  it "leaves what was put by hand where it was put, and plans round it" do
    found = plan([work("moved", [30, 0, 60]), work("a", [40]), work("b", [40])])
    expect(told(found)).to include(["moved", 0, 0, 60, 90])
    # 40 fit before it, the other comes after
    expect(found.score.finish).to eq 130
    expect(found).to be_exact
  end

  it "finds room for a piece put by hand among many, on one bench and on two" do
    random = Random.new(504)
    works = Array.new(10) { |index| work("j#{index}", [random.rand(30..150), 0], [8, 10], [7]) }
    moved = work("moved", [60, 0, 125], [8, 10], [7])
    [1, 2].each do |benches|
      expect(told(plan([*works, moved], benches: benches, minutes: 900))).to include(["moved", 0, anything, 125, 185])
    end
  end

  it "refuses no bench, no time, and work of no minutes" do
    expect(refusal_at { plan([], benches: 0) }).to eq ["benches"]
    expect(refusal_at { plan([], minutes: 0) }).to eq ["minutes"]
    expect(refusal_at { work("none") }).to eq ["pieces"]
    expect(refusal_at { work("none", [0]) }).to eq ["pieces/0"]
    expect(work("least", [1]).pieces.map(&:minutes)).to eq [1]
    expect(plan([]).slots).to eq []
  end

  # Every order of the pieces on every bench, each as early as it may: no cleverness.
  define_method(:brute) do |works, benches, minutes|
    best = nil
    walk = lambda do |done, ready, free, family, finishes, undone, changes|
      late = works.each_with_index.count do |each, index|
        each.promised && (done[index] < each.pieces.size || finishes[index] > each.promised)
      end
      open = works.each_index.count { |index| done[index] < works[index].pieces.size }
      score = [late, open, undone, finishes.compact.max || 0, changes]
      best = score if best.nil? || (score <=> best).negative?
      works.each_index do |index|
        next if done[index] == works[index].pieces.size
        now = works[index].pieces[done[index]]
        benches.times do |bench|
          start = [ready[index], free[bench]].max
          finish = start + now.minutes
          next if finish > minutes
          change = family[bench] && works[index].family && family[bench] != works[index].family
          put = ->(list, at, value) { list.dup.tap { |copy| copy[at] = value } }
          walk.call(put[done, index, done[index] + 1], put[ready, index, finish + now.wait], put[free, bench, finish],
            put[family, bench, works[index].family || family[bench]], put[finishes, index, finish],
            undone - now.minutes, changes + (change ? 1 : 0))
        end
      end
    end
    walk.call(works.map { 0 }, works.map(&:ready), [0] * benches, [nil] * benches, works.map { nil },
      works.sum(&:minutes), 0)
    best
  end

  define_method(:made_up) do |random, most|
    left = random.rand(1..most)
    works = []
    while left.positive?
      pieces = Array.new([random.rand(1..3), left].min) {
        [random.rand(1..9) * 5, [0, 0, 10, 20].sample(random: random)]
      }
      left -= pieces.size
      works << work("w#{works.size}", *pieces, ready: [0, 0, 0, 15].sample(random: random),
        promised: [nil, nil, 60, 90].sample(random: random), family: [nil, "glycol", "mineral"].sample(random: random))
    end
    works
  end

  it "is never worse than every order tried by brute force, over 500 days of up to seven pieces on one bench" do
    random = Random.new(500)
    500.times do
      works = made_up(random, 7)
      minutes = random.rand(4..30) * 5
      found = plan(works, minutes: minutes)
      expect(found).to be_exact
      expect(found.score.to_a).to eq brute(works, 1, minutes)
    end
  end

  it "is never worse than brute force on two benches, but for changes of fluid" do
    random = Random.new(501)
    120.times do
      works = made_up(random, 5)
      minutes = random.rand(4..20) * 5
      expect(plan(works, benches: 2, minutes: minutes).score.to_a.first(4)).to eq brute(works, 2, minutes).first(4)
    end
  end

  it "overlaps nothing on a bench, keeps every job's order and waits, and finishes no fewer in more time" do
    random = Random.new(502)
    60.times do
      works = made_up(random, 8)
      benches = random.rand(1..3)
      finished = [40, 80, 120, 200].map do |minutes|
        found = plan(works, benches: benches, minutes: minutes)
        found.slots.group_by(&:bench).each_value do |slots|
          slots.sort_by(&:start).each_cons(2) { |one, other| expect(other.start).to be >= one.finish }
        end
        found.slots.group_by(&:work).each do |each, slots|
          expect(slots.map(&:piece)).to eq (0...slots.size).to_a
          slots.each_cons(2) { |one, other| expect(other.start).to be >= one.finish + each.pieces[one.piece].wait }
          expect(slots.first.start).to be >= each.ready
        end
        expect(found.slots.map(&:finish).max || 0).to be <= minutes
        works.size - found.unfinished.size
      end
      expect(finished).to eq finished.sort
    end
  end

  it "plans a full day of twenty jobs within its nodes, and says that it is not proven" do
    random = Random.new(503)
    works = Array.new(20) { |index|
      work("j#{index}", [random.rand(3..12) * 10, 10], [10], family: %w[glycol mineral].sample(random: random))
    }
    found = plan(works, benches: 2, minutes: 540)
    expect(found.works_done).to be >= found.most_finished - 2
  end
end
