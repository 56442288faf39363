# frozen_string_literal: true

# Twenty thousand requests made up from the contract against Fell Gate Garage: bench/fuzz.rb [COUNT [SEED]]. Ends with 1
# on any fault.
require_relative "../app/boot"
require_relative "../demo/fell_gate"
require_relative "../spec/support/fuzz"
require_relative "../spec/support/fuzz_run"
require "vips"

store = Store::All.new(Store::Database.open(":memory:"))
Demo::FellGate.new(store, Time.now).load
run = FuzzRun.new(App::Server.build(store), store, seed: Integer(ARGV.fetch(1, Random.new_seed % 2**31)))
run.send_requests(Integer(ARGV.fetch(0, 20_000)))
left = run.unreadable
puts "seed #{run.seed}: #{run.statuses.sort.map { |status, count| "#{count} × #{status}" }.join(", ")}"
puts run.faults, left

# Photos as large as a camera makes them, one after another, made elsewhere: what the whole run held at most.
photo = IO.popen("-", "rb") do |made|
  next made.read if made
  noise = Vips::Image.gaussnoise(6000, 4000, sigma: 60, mean: 128).cast(:uchar).bandjoin([40, 90])
  $stdout.binmode.write(noise.jpegsave_buffer(Q: 60))
  exit!
end
peak = -> { File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024 }
before = peak.call
40.times { App::Photo.read(photo, "image/jpeg") }
puts "at most #{before} MB of memory; with 40 photos of 24 MP, #{photo.bytesize / 1_048_576} MB each, #{peak.call} MB"
exit 1 if run.faults.any? || left.any?
