# frozen_string_literal: true

RSpec.describe Sandbag::Rig::Learner do
  def path(*results)
    lines = results.each_with_index.map do |(lesson, done, slips, exam), day|
      {"lesson" => lesson, "done" => done, "slips" => slips, "exam" => exam == :exam,
       "at" => "2026-03-0#{day + 1}T09:00:00Z"}
    end
    described_class.new(lines).path
  end

  def line(path, id)
    path.find { |each| each[:id] == id }
  end

  it "passes a lesson that was done without a slip twice in a row" do
    first, second = Sandbag::Tables.rows("lessons").first(2).map { |row| row["id"] }
    once = path([first, true, 0])
    expect(line(once, first)).to include(tries: 1, in_a_row: 1, passed: false, next: true)
    twice = path([first, false, 0], [first, true, 0], [second, true, 0], [first, true, 0])
    expect(line(twice, first)).to include(tries: 3, in_a_row: 2, passed: true, next: false)
    expect(line(twice, second)).to include(tries: 1, passed: false, next: true)
  end

  it "says on which day a lesson was passed, and when it was done without help" do
    id = Sandbag::Tables.rows("lessons").first["id"]
    expect(line(path([id, true, 0]), id)).not_to include(:passed_on, :exam_on)
    helped = path([id, true, 0], [id, true, 0])
    expect(line(helped, id)).to include(passed_on: "2026-03-02")
    expect(line(helped, id)).not_to have_key(:exam_on)
    alone = path([id, true, 0, :exam], [id, true, 0], [id, true, 1, :exam])
    expect(line(alone, id)).to include(exam_on: "2026-03-01", passed: false)
  end

  it "begins again after a run that was not done, or with a slip" do
    id = Sandbag::Tables.rows("lessons").first["id"]
    [[id, false, 0], [id, true, 1]].each do |spoilt|
      expect(line(path([id, true, 0], spoilt, [id, true, 0]), id)).to include(in_a_row: 1, passed: false)
    end
  end
end
