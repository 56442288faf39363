# frozen_string_literal: true

RSpec.describe App::JobCardPhotos do
  let(:pdf) { App::Paper.open("Job card", Time.utc(2026, 12, 1), "{}") }
  let(:picture) { File.binread("#{ROOT}/spec/fixtures/large.jpg") }

  def photo(entry, **more)
    {"entry" => entry, "photo" => entry, "what" => "Clamp", **more.transform_keys(&:to_s)}
  end

  # @return [Array<Array(Float, Float)>] left and top of each picture
  def drawn(photos, jpeg: ->(_id) { picture })
    corners = []
    allow(pdf).to receive(:image).and_wrap_original do |original, *given, at:, **more|
      corners << at
      original.call(*given, at: at, **more)
    end
    described_class.new(pdf, jpeg).draw(photos)
    corners
  end

  it "stand before and after side by side, and another one under them" do
    corners = drawn([photo("a"), photo("b"), photo("c", again: "a")])
    expect(corners[1].last).to eq corners[0].last
    expect(corners[1].first).to be > corners[0].first + 200
    expect(corners[2].first).to eq 0
    expect(corners[2].last).to be < corners[0].last - 100
  end

  it "carry their marks in their own proportions" do
    circles = []
    allow(pdf).to receive(:stroke_circle) { |middle, radius| circles << [middle, radius] }
    allow(pdf).to receive(:line)
    corner = drawn([photo("a", marks: [
      {"shape" => "circle", "x" => 0.5, "y" => 0.5, "to_x" => 0.75, "to_y" => 0.5},
      {"shape" => "arrow", "x" => 0.0, "y" => 0.0, "to_x" => 0.5, "to_y" => 0.5}
    ])]).first
    # 2600 × 1950 px in a height of 220
    width, height = 220 * 2600 / 1950.0, 220.0
    expect(circles.flatten).to match [
      a_value_within(0.1).of(corner[0] + width / 2), a_value_within(0.1).of(corner[1] - height / 2),
      a_value_within(0.1).of(width / 4)
    ]
    expect(pdf).to have_received(:line).exactly(3).times
  end

  it "are left out where a picture is missing, and printed as they were where they have no entry" do
    expect(drawn([photo("a")], jpeg: ->(_id) {})).to be_empty
    expect(drawn([{"what" => "Clamp", "photo" => "p"}]).size).to eq 1
  end
end
