# frozen_string_literal: true

# How fast Sandbag answers on this machine, and what it sends: bench/run.rb. A shop of 300 machines, 10,000 signed and
# 60 open jobs and 10,000 shelf moves is grown first. Printed beside a bare Rack "hello" behind the same Puma; OVER
# marks a missed aim. The server runs as bin/serve has it.
require_relative "../app/boot"
require_relative "../spec/support/served"
require_relative "../spec/support/sheets"
require_relative "big_shop"
require_relative "stopwatch"
require "json"
require "sequel"
require "securerandom"

SHEETS = Object.new.extend(Sheets)
# The aims, as multiples of the bare "hello", so that they hold on a slow machine too.
COMPUTING = 10
GRID = 60
STROKE = 30
LONG_STROKE = 35
LISTS = 60
DAY = 400
FIRST_LOAD_KB = 170

def get(path)
  -> { Net::HTTP::Get.new(path) }
end

def post(path, body)
  lambda do
    request = Net::HTTP::Post.new("/api#{path}", "content-type" => "application/json")
    request.body = JSON.generate(body.respond_to?(:call) ? body.call : body)
    request
  end
end

# Every third is a top-up, which the reservoir asks for.
def stroke(job)
  kinds = %w[topped_up stroke stroke].cycle
  post("/jobs/#{job}/entries", -> { {id: SecureRandom.uuid, stage: "bleed", kind: kinds.next, data: {}} })
end

# @return [Float] ms
def hello
  port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
  pid = spawn("bundle", "exec", "puma", "--bind", "tcp://127.0.0.1:#{port}", "--threads", "1:5", "--quiet",
    "#{__dir__}/hello.ru", chdir: ROOT, out: File::NULL, err: File::NULL)
  sleep 0.1 until begin
    TCPSocket.new("127.0.0.1", port).close
    true
  rescue SystemCallError
    false
  end
  Net::HTTP.start("127.0.0.1", port) do |http|
    Stopwatch.new(http).measure("bare Rack hello", rounds: 500, &get("/")).tap { |line| puts line }.median
  end
ensure
  Process.kill("TERM", pid)
  Process.wait(pid)
end

def sums(watch)
  plain = SHEETS.twin_disc_plain
  circuit = SHEETS.twin_disc
  sizes = (0...300).map { |index| {bore: 10 + (index % 30) * 0.4, push_offset: 16 + index / 30} }
  picked = [16, 17.46, 19].map { |bore| {bore: bore, push_offset: 18} }
  readings =
    [5, 8, 12, 20, 35, 60, 90, 120].map do |force|
      {force: force, travel: circuit.travel_mm(circuit.pressure_mpa(force), air_ml: 0.4)}
    end
  {
    "compute a circuit" => ["/compute/circuits", {sheet: plain}],
    "size the usual cylinders" => ["/compute/sizings", {sheet: plain}],
    "lay three curves over one another" => ["/compute/lever-curves", {sheet: plain, candidates: picked}],
    "explain a cylinder" => ["/compute/explanations", {sheet: plain, candidate: picked[0]}],
    "plan a bleed" => ["/compute/bleed-plans", {sheet: plain}],
    "judge every bleeding method" => ["/compute/bleed-verdicts", {sheet: plain}],
    "fit a lever" => ["/compute/lever-fits", {sheet: plain, readings: readings}]
  }.each { |name, (path, body)| puts watch.measure(name, aim: COMPUTING, &post(path, body)) }
  puts watch.measure(
    "size 300 cylinders",
    aim: GRID,
    rounds: 50,
    &post("/compute/sizings", {sheet: plain, candidates: sizes})
  )
end

def lists(watch)
  {
    "open jobs" => "/api/jobs?state=open",
    "signed jobs" => "/api/jobs?state=closed",
    "machines" => "/api/machines?limit=50",
    "machines found by typing" => "/api/machines?find=ridge&limit=6",
    "a machine" => "/api/machines/ridgeline",
    "jobs of a machine" => "/api/jobs?state=all&limit=20&machine=ridgeline",
    "the shelf" => "/api/shelf",
    "moves of a thing" => "/api/shelf/washers-10/moves",
    "the tables" => "/api/knowledge",
    "a job" => "/api/jobs/job-sledge",
    "a signed job" => "/api/jobs/signed-500",
    "what Ask shows" => "/api/jobs/job-clutch/stages/ask",
    "what Build shows" => "/api/jobs/job-cargo-rear/stages/build",
    "what Close shows" => "/api/jobs/job-kart/stages/close",
    "what falls due" => "/api/due",
    "the calendar" => "/api/due/calendar.ics",
    "levers, the worst first" => "/api/levers",
    "a lever over the months" => "/api/circuits/big-0-ridgeline-front/levers",
    "the shelf against a job" => "/api/jobs/job-scooter/supplies",
    "the page" => "/"
  }.each { |name, path| puts watch.measure(name, aim: LISTS, rounds: 60, &get(path)) }
end

def day(watch)
  puts watch.measure("the day, planned for two benches", aim: DAY, rounds: 20,
    &post("/plans", {benches: 2, minutes: 480}))
end

def entries(watch)
  puts watch.measure("a stroke, on the disc, ~100 entries", aim: STROKE, rounds: 80, &stroke("job-tourer-front"))
  800.times { watch.answer(stroke("job-tourer-front").call) }
  puts watch.measure("a stroke, on the disc, ~1,000 entries", aim: LONG_STROKE, rounds: 80, &stroke("job-tourer-front"))
  moved = -> { {id: SecureRandom.uuid, item: "washers-10", kind: "counted", data: {count: rand(10..18)}} }
  puts watch.measure("a shelf move", aim: LISTS, rounds: 60, &post("/shelf/moves", moved))
end

# What a browser fetches before the Bench stands: the page and every script and style it names, as they are sent.
def first_load(http)
  page = http.request(Net::HTTP::Get.new("/")).body
  files = page.scan(%r{/assets/[\w.-]+\.(?:js|css)}).uniq
  bytes = files.sum { |file| http.request(Net::HTTP::Get.new(file, "accept-encoding" => "br")).body.bytesize }
  puts format(
    "%-44s %.0f kB of script and style in %d files, aim %d",
    "first load",
    bytes / 1000.0,
    files.size,
    FIRST_LOAD_KB
  )
end

bare = hello
served = Served.new
served.stop
grown = Sequel.sqlite(served.database)
BigShop.new(grown).grow
grown.disconnect
served.start
Net::HTTP.start("127.0.0.1", served.port) do |http|
  watch = Stopwatch.new(http, bare)
  sums(watch)
  lists(watch)
  day(watch)
  entries(watch)
  first_load(http)
end
served.remove
