# frozen_string_literal: true

# Against the server itself: a body in chunks says nowhere how long it is.
RSpec.describe "A body that is too large" do
  let!(:served) { Served.new(demo: false) }

  after { served.remove }

  # @return [String] the status line
  def sent(path, type, bytes)
    TCPSocket.open("127.0.0.1", served.port) do |socket|
      socket.write(
        "POST #{path} HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: #{type}\r\nTransfer-Encoding: chunked\r\n\r\n"
      )
      chunk = "x" * 65_536
      (bytes / chunk.bytesize + 1).times { socket.write("#{chunk.bytesize.to_s(16)}\r\n#{chunk}\r\n") }
      socket.write("0\r\n\r\n")
      socket.gets.to_s
    rescue Errno::EPIPE, Errno::ECONNRESET
      socket.gets.to_s
    end
  end

  it "is refused in chunks as it is when it is declared" do
    expect(sent("/api/machines", "application/json", 2_000_000)).to include("413")
    expect(sent("/api/jobs/j/photos?photo=p", "image/png", 12_000_000)).to include("413")
  end

  it "does not stall the others: clients that ask and never read" do
    idle =
      Array.new(10) do
        TCPSocket
          .new("127.0.0.1", served.port)
          .tap { |socket| 30.times { socket.write("GET /api/knowledge HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n") } }
      end
    expect(Net::HTTP.get_response(URI("#{served.url}/api/shop")).code).to eq "200"
  ensure
    idle&.each(&:close)
  end
end
