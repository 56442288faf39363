# frozen_string_literal: true

require "net/http"

# Requests one after another over one connection, and what they took, as a page on the same machine has them.
class Stopwatch
  ROUNDS = 200
  WARM_UP = 15

  # @attr name [String]; median [Float] ms; most [Float] ms that 95 % stay under; bytes [Integer] over the wire; times
  #   [Float, nil] the median as a multiple of the bare answer; aim [Float, nil] most such times
  Line =
    Struct.new(:name, :median, :most, :bytes, :times, :aim) do
      def to_s
        format("%-40s median %7.2f ms   95 %% under %7.2f ms   %8.1f kB   %s %s", name, median, most, bytes / 1000.0,
          times && format("%6.1f ×", times), aim && ((times <= aim) ? "within #{aim}" : "OVER #{aim}")).rstrip
      end
    end

  # @param bare [Float, nil] ms a bare answer takes
  def initialize(http, bare = nil)
    @http = http
    @bare = bare
  end

  # @yieldreturn [Net::HTTPRequest] a fresh one each round
  # @return [Line]
  def measure(name, aim: nil, rounds: ROUNDS)
    bytes = 0
    WARM_UP.times { answer(yield) }
    times = Array.new(rounds) do
      request = yield
      start = now
      bytes = answer(request)
      (now - start) * 1000
    end.sort
    median = times[times.size / 2]
    Line.new(name, median, times[(times.size * 0.95).floor], bytes, @bare && median / @bare, aim)
  end

  # @return [Integer] bytes of the answer as they came
  def answer(request)
    request["accept-encoding"] = "gzip"
    got = @http.request(request)
    raise "#{request.path}: #{got.code} #{got.body[0, 300]}" unless got.code.start_with?("2")
    got.body.bytesize
  end

  private

  def now
    Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
