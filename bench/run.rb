# frozen_string_literal: true

# How fast the server answers on this machine: bench/run.rb. Prints medians of the computing endpoints and of a counted
# stroke beside a bare Rack "hello" served by the same Puma, and what the first load ships.
require_relative "../app/boot"
require_relative "../spec/support/served"
require_relative "../spec/support/sheets"
require "json"
require "zlib"

SHEETS = Object.new.extend(Sheets)

ROUNDS = 300

def median(numbers)
  sorted = numbers.sort
  sorted[sorted.size / 2]
end

def time_ms
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
end

def measure(http, name, rounds: ROUNDS)
  10.times { http.request(yield) }
  times = Array.new(rounds) do
    request = yield
    time_ms { http.request(request).then { |answer| raise "#{name}: #{answer.code} #{answer.body[0, 300]}" unless answer.code.start_with?("2") } }
  end
  puts format("%-34s median %7.2f ms   95 %% under %7.2f ms", name, median(times), times.sort[(rounds * 0.95).floor])
end

def post(path, body)
  Net::HTTP::Post.new("/api#{path}", "content-type" => "application/json").tap { |request| request.body = JSON.generate(body) }
end

def hello
  port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
  pid = spawn("bundle", "exec", "puma", "--bind", "tcp://127.0.0.1:#{port}", "--threads", "1:5", "--quiet", "#{__dir__}/hello.ru", chdir: ROOT, out: File::NULL, err: File::NULL)
  sleep 0.1 until begin
    TCPSocket.new("127.0.0.1", port).close
    true
  rescue SystemCallError
    false
  end
  Net::HTTP.start("127.0.0.1", port) { |http| measure(http, "bare Rack hello") { Net::HTTP::Get.new("/") } }
ensure
  Process.kill("TERM", pid)
  Process.wait(pid)
end

hello
served = Served.new
Net::HTTP.start("127.0.0.1", served.port) do |http|
  sizes = (0...300).map { |index| {bore: 10 + (index % 30) * 0.4, push_offset: 16 + index / 30} }
  whole_grid = {sheet: SHEETS.twin_disc_plain, cylinders: "all"}
  picked = [{bore: 16, push_offset: 18}, {bore: 17.46, push_offset: 18}, {bore: 19, push_offset: 18}]
  readings = [5, 8, 12, 20, 35, 60, 90, 120].map { |force| {force: force, travel: SHEETS.twin_disc.travel_mm(SHEETS.twin_disc.pressure_mpa(force), air_ml: 0.4)} }
  measure(http, "compute a circuit") { post("/compute/circuits", {sheet: SHEETS.twin_disc_plain}) }
  measure(http, "size the usual cylinders") { post("/compute/sizings", {sheet: SHEETS.twin_disc_plain}) }
  measure(http, "size 300 cylinders", rounds: 50) { post("/compute/sizings", {sheet: SHEETS.twin_disc_plain, candidates: sizes}) }
  measure(http, "size the whole grid", rounds: 50) { post("/compute/sizings", whole_grid) }
  measure(http, "lay three curves over one another") { post("/compute/lever-curves", {sheet: SHEETS.twin_disc_plain, candidates: picked}) }
  measure(http, "explain a cylinder") { post("/compute/explanations", {sheet: SHEETS.twin_disc_plain, candidate: picked[0]}) }
  measure(http, "plan a bleed") { post("/compute/bleed-plans", {sheet: SHEETS.twin_disc_plain}) }
  measure(http, "fit a lever") { post("/compute/lever-fits", {sheet: SHEETS.twin_disc_plain, readings: readings}) }
  measure(http, "show a job") { Net::HTTP::Get.new("/api/jobs/job-bicycle") }
  measure(http, "show a job with its cylinder apart") { Net::HTTP::Get.new("/api/jobs/job-sledge") }
  measure(http, "match the shelf with a job") { Net::HTTP::Get.new("/api/jobs/job-scooter/supplies") }
  measure(http, "count a stroke, on the disc", rounds: 100) { post("/jobs/job-tourer-front/entries", {id: SecureRandom.uuid, stage: "bleed", kind: "stroke", data: {}}) }
end
served.remove

findings = Sandbag::Knowledge.table("findings").reject { |row| row["for"] == "c" }.reduce(Sandbag::Ask::Findings.new) { |found, row| found.with(row["id"], row["values"].keys.last) }
full = Sandbag::Ask::Diagnosis.new(findings, {"side" => "brake", "abs" => "fitted"})
puts format("%-34s median %7.2f ms", "rank causes, every finding known", median(Array.new(ROUNDS) { time_ms { full.ranks } }))

first = File.read("#{ROOT}/ui/dist/index.html").scan(%r{/assets/[\w.-]+\.js}).uniq
scripts = first.sum { |file| Zlib.gzip(File.binread("#{ROOT}/ui/dist#{file}"), level: 9).bytesize }
puts format("%-34s %d kB gzipped script", "first load ships", scripts / 1000)
