# frozen_string_literal: true

require "vips"

RSpec.describe App::PhotosApi, :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "job", circuit_id: "front"})
  end

  def picture(width = 60, height = 40)
    Vips::Image.black(width, height, bands: 3).draw_rect([200, 120, 30], 0, 0, width / 2, height, fill: true)
  end

  def send_photo(bytes, type: "image/png", id: "p1", job: "job")
    ask(:post, "/jobs/#{job}/photos?photo=#{id}", raw: bytes, headers: {"Content-Type" => type})
  end

  def refused(bytes, **more)
    answer = send_photo(bytes, **more)
    [last_response.status, answer["errors"].first["message"]]
  end

  it "writes a PNG and a JPEG again, and serves what it wrote as a picture and nothing else" do
    expect(send_photo(picture.pngsave_buffer)).to eq("id" => "p1", "width" => 60, "height" => 40)
    expect(send_photo(picture.jpegsave_buffer, type: "image/jpeg", id: "p2")).to include("width" => 60)
    get "/api/photos/p1"
    expect(last_response.headers.slice("content-type", "x-content-type-options")).to eq("content-type" => "image/jpeg",
      "x-content-type-options" => "nosniff")
    expect(last_response.headers["content-security-policy"]).to include("default-src 'none'")
    kept = Vips::Image.jpegload_buffer(last_response.body)
    expect(kept.getpoint(5, 5).first).to be_within(8).of(200)
  end

  it "turns it upright, makes it no larger than a screen needs, and carries nothing along" do
    big = Vips::Image.black(4000, 1000, bands: 3).mutate do |image|
      image.set_type!(GObject::GINT_TYPE, "orientation", 6)
      image.set_type!(GObject::GSTR_TYPE, "exif-ifd0-ImageDescription", "where I live")
    end
    expect(send_photo(big.jpegsave_buffer, type: "image/jpeg")).to include("width" => 500, "height" => 2000)
    get "/api/photos/p1"
    expect(last_response.body).not_to include("where I live")
  end

  it "takes a JPEG for print, and refuses one that is cut short or has another file behind its first bytes" do
    print = picture(200, 100).colourspace(:cmyk).jpegsave_buffer
    expect(send_photo(print, type: "image/jpeg")).to include("width" => 200, "height" => 100)
    whole = picture(600, 400).jpegsave_buffer
    expect(refused(whole[0, whole.bytesize / 2], type: "image/jpeg", id: "p3")).to eq [422,
      "the picture is broken or cut short"]
    expect(refused("\xFF\xD8\xFF".b + "<html><script>", type: "image/jpeg", id: "p4").first).to eq 422
  end

  {
    "image/webp" => ->(image) { image.webpsave_buffer },
    "image/heic" => ->(image) { image.heifsave_buffer(compression: :hevc) }
  }.each do |type, written|
    it "takes #{type} from a phone, and refuses half of one, or another file under that name" do
      whole = written.call(picture(600, 400))
      expect(send_photo(whole, type: type)).to include("width" => 600, "height" => 400)
      expect(refused(whole[0, whole.bytesize / 2], type: type, id: "p2")).to eq [422,
        "the picture is broken or cut short"]
      expect(refused(picture.pngsave_buffer, type: type, id: "p3")).to eq [422,
        "this file is not a #{type.delete_prefix("image/").upcase} image"]
      get "/api/photos/p1"
      expect(Vips::Image.jpegload_buffer(last_response.body).getpoint(5, 5).first).to be_within(8).of(200)
    end
  end

  it "holds one large picture in memory at a time" do
    inside = 0
    most = 0
    allow(Vips::Image).to receive(:pngload_buffer).and_wrap_original do |original, *given, **more|
      most = [most, inside += 1].max
      sleep 0.01
      original.call(*given, **more).tap { inside -= 1 }
    end
    bytes = picture(3000, 2000).pngsave_buffer
    Array.new(6) { Thread.new { App::Photo.read(bytes, "image/png") } }.each(&:join)
    expect(most).to eq 1
  end

  it "shows a photo on the job only once an entry names it, and never one of another job" do
    send_photo(picture.pngsave_buffer)
    expect(ask(:get, "/jobs/job")["photos"]).to be_empty
    add_circuit("rear", bicycle_plain)
    ask(:post, "/jobs", {id: "other", circuit_id: "rear"})
    answer = entry("other", "strip", "photo", {photo: "p1", what: "clamp"})
    expect([last_response.status, pointers(answer)]).to eq [422, ["data/photo"]]
    entry("job", "strip", "photo", {photo: "p1", what: "clamp split"}, id: "e1")
    expect(ask(:get, "/jobs/job")["photos"].first).to include("photo" => "p1", "what" => "clamp split",
      "stage" => "strip")
    entry("job", "strip", "undo", {}, corrects: "e1")
    expect(ask(:get, "/jobs/job")["photos"]).to be_empty
  end

  it "keeps the first under an id, so that a retry is harmless" do
    send_photo(picture.pngsave_buffer)
    expect(send_photo(picture(10, 10).pngsave_buffer)).to include("width" => 60)
  end

  it "refuses an executable that is called a picture" do
    expect(refused("MZ#{"\x90" * 400}".b)).to match [422, a_string_including("not a PNG image")]
    expect(refused(picture.jpegsave_buffer)).to match [422, a_string_including("not a PNG image")]
  end

  it "refuses an executable behind the first bytes of a picture" do
    expect(refused("\x89PNG\r\n\x1A\n".b + "MZ#{"\x90" * 400}".b)).to match [422, a_string_including("broken")]
  end

  it "refuses a strip longer than any camera's picture before it reads it" do
    expect(refused(Vips::Image.black(1, 5_000_000).pngsave_buffer)).to match [422, "the picture is 1 × 5000000"]
  end

  it "refuses thirty megapixels before it reads them" do
    expect(refused(Vips::Image.black(6000, 5000).pngsave_buffer)).to match [422, "the picture has 30 megapixels"]
  end

  it "refuses a picture that was cut short" do
    noise = Vips::Image.gaussnoise(300, 300).cast(:uchar)
    [[noise.pngsave_buffer, "image/png"], [noise.jpegsave_buffer, "image/jpeg"]].each do |bytes, type|
      expect(refused(bytes[0, bytes.bytesize / 2], type: type)).to match [422, a_string_including("cut short")]
    end
  end

  it "refuses a drawing with a script, by its name and in a picture's clothes" do
    svg = "<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>"
    expect(refused(svg, type: "image/svg+xml")).to match [422, a_string_including("not sent as image/svg+xml")]
    expect(refused(svg)).to match [422, a_string_including("not a PNG image")]
    get "/api/photos/p1"
    expect(last_response.status).to eq 404
  end

  it "refuses over 10 MB unread, and nothing at all" do
    send_photo("x", type: "image/png")
    header "Host", "127.0.0.1"
    header "Content-Type", "image/png"
    custom_request("POST", "/api/jobs/job/photos?photo=p9", {},
      {:input => "x", "CONTENT_LENGTH" => (10 * 1_048_576 + 1).to_s})
    expect(last_response.status).to eq 413
    expect(refused("")).to match [422, a_string_including("not a PNG image")]
    expect(refused(picture.pngsave_buffer, id: "")).to match [422, a_string_including("1 to 60")]
  end

  it "is printed on the job card" do
    send_photo(picture(900, 600).pngsave_buffer)
    get "/api/jobs/job/card.pdf"
    without = last_response.body.bytesize
    entry("job", "strip", "photo", {photo: "p1", what: "clamp split"})
    get "/api/jobs/job/card.pdf"
    expect(last_response.body.bytesize).to be > without + 2000
  end
end
