# frozen_string_literal: true

require "vips"

module App
  # A photo that was sent, read by what it is and not by what it says it is, and written again: turned upright, no
  # larger than a screen needs, nothing carried along. What is kept is always a plain JPEG.
  class Photo
    MOST_BYTES = BodyLimit::PHOTO_BYTES
    MOST_PIXELS = 24_000_000
    # No camera makes a longer one; a strip of millions by one takes for ever to turn.
    MOST_SIDE = 12_000
    # The longer side as it is kept.
    LONGEST_SIDE = 2000
    QUALITY = 85
    WHITE = [255, 255, 255].freeze

    HEIC = [/\A.{4}ftyp(?:heic|heix|mif1|msf1)/mn, :heifload_buffer].freeze
    # Media type => how such a file begins, and its own reader: no other is tried. Those that libvips reads here; a
    # phone's HEIC is named by the brand behind its length.
    KINDS = {
      "image/png" => [/\A\x89PNG\r\n\x1A\n/n, :pngload_buffer],
      "image/jpeg" => [/\A\xFF\xD8\xFF/n, :jpegload_buffer],
      "image/webp" => [/\ARIFF.{4}WEBP/mn, :webpload_buffer],
      "image/heic" => HEIC, "image/heif" => HEIC
    }.select { |_, (_, reader)| Vips.type_find("VipsForeignLoad", reader.to_s).positive? }.freeze

    attr_reader :width, :height, :jpeg

    # @param bytes [String]; media_type [String, nil] as the request says
    # @return [Photo]
    # Refuses another kind of file under whatever name, one that is too large or has too many pixels, and one cut short.
    def self.read(bytes, media_type)
      raise refusal("the photo is over 10 MB") if bytes.bytesize > MOST_BYTES
      magic, reader = KINDS[media_type]
      raise refusal("a photo is not sent as #{media_type || "nothing"}") unless magic
      unless bytes.b.match?(magic)
        raise refusal("this file is not a #{media_type.delete_prefix("image/").upcase} image")
      end
      ONE.synchronize do
        new(Vips::Image.public_send(reader, bytes, access: :sequential, fail_on: :truncated))
      ensure
        # Ruby does not see how much libvips holds, and would let many pictures pile up
        GC.start
      end
    rescue Vips::Error
      raise refusal("the picture is broken or cut short")
    end

    def self.refusal(message)
      Sandbag::Refusal.at("photo", message,
        "a whole PNG, JPEG, WebP or HEIC of up to 10 MB and #{MOST_PIXELS / 1_000_000} megapixels")
    end

    # However many are sent at once, one is in memory.
    ONE = Mutex.new
    # What was read is not kept for another one that is the same.
    Vips.cache_set_max(0)

    # @param image [Vips::Image] its head read, its pixels not yet: they pass through line by line
    def initialize(image)
      pixels = image.width * image.height
      raise Photo.refusal("the picture has #{(pixels / 1e6).round} megapixels") if pixels > MOST_PIXELS
      if [image.width, image.height].max > MOST_SIDE
        raise Photo.refusal("the picture is #{image.width} × #{image.height}")
      end
      written = write(image)
      @jpeg = written.jpegsave_buffer(Q: QUALITY, strip: true)
      @width = written.width
      @height = written.height
      freeze
    end

    def to_h
      {width: width, height: height, jpeg: jpeg}
    end

    private

    # Shrunk as it is read, and turned upright once it is small.
    def write(image)
      small = image.thumbnail_image(LONGEST_SIDE, height: LONGEST_SIDE, size: :down)
      small = small.colourspace(:srgb) unless small.interpretation == :srgb
      small.has_alpha? ? small.flatten(background: WHITE) : small
    end
  end
end
