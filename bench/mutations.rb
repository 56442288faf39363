# frozen_string_literal: true

# Small deliberate faults in the core, each against the specs of its room: how many does no spec notice?
#
#   bundle exec ruby bench/mutations.rb [COUNT] [SEED] [PATH]      200, 1, lib/sandbag
#   AGAIN=survivors.txt bundle exec ruby bench/mutations.rb        those of an earlier run, as it printed them
#
# A fault is one number changed, one comparison or one && and || turned round, or one guard left out. It is put into a
# fork that has the core loaded, so that it costs what its specs cost. They are loaded after it, since a class that is
# made once more is another one. Prints each survivor when it is found, and at the end all of them and how many there
# are.
require "prism"
require "timeout"

ROOT_DIR = File.expand_path("..", __dir__)
$LOAD_PATH.unshift("#{ROOT_DIR}/spec", "#{ROOT_DIR}/lib")
Dir.chdir(ROOT_DIR)

# A fault whose specs run longer than this hangs, s.
LONGEST_S = 200

# One change: bytes from to, what stands there instead, and how it is told.
Mutation = Struct.new(:path, :bytes, :from, :to, :text, :line, :kind, keyword_init: true) do
  def source
    bytes.dup.tap { |changed| changed[from...to] = text.b }.force_encoding("UTF-8")
  end

  # Where the line has moved since, it is the same one.
  def same?(told)
    told.sub(/:\d+ /, " ").end_with?(to_s.sub(/:\d+ /, " "))
  end

  def to_s
    old = bytes[from...to].force_encoding("UTF-8").lines.first.strip
    "#{path}:#{line} #{kind}: #{old[0, 60]} → #{text}"
  end
end

# Finds every place where a fault can be put.
class Faults < Prism::Visitor
  TURNED = {:< => "<=", :<= => "<", :> => ">=", :>= => ">", :== => "!=", :!= => "=="}.freeze

  attr_reader :all

  def initialize(path)
    @path = path
    @bytes = File.binread(path)
    @all = []
    super()
  end

  def visit_integer_node(node)
    add(node.location, (node.value + 1).to_s, "number")
  end

  def visit_float_node(node)
    add(node.location, (node.value.zero? ? 0.1 : (node.value * 1.1).round(12)).to_s, "number")
  end

  def visit_call_node(node)
    add(node.message_loc, TURNED[node.name], "comparison") if TURNED.key?(node.name) && node.arguments
    super
  end

  def visit_and_node(node)
    add(node.operator_loc, "||", "and") if node.operator == "&&"
    super
  end

  def visit_or_node(node)
    add(node.operator_loc, "&&", "or") if node.operator == "||"
    super
  end

  def visit_if_node(node)
    guard(node)
    super
  end

  def visit_unless_node(node)
    guard(node)
    super
  end

  private

  # return … if …, raise … unless …: without it.
  def guard(node)
    only = node.statements&.body
    return unless only&.one? && node.location.start_offset == only.first.location.start_offset
    leaves = only.first.is_a?(Prism::ReturnNode) || (only.first.is_a?(Prism::CallNode) && only.first.name == :raise)
    add(node.location, "nil", "guard") if leaves
  end

  def add(location, text, kind)
    @all << Mutation.new(path: @path, bytes: @bytes, from: location.start_offset, to: location.end_offset, text: text,
      line: location.start_line, kind: kind)
  end
end

# Which specs see a file: those of its room, and those that name its class or its room.
class Specs
  # Rooms whose work is seen in the specs of others.
  ALSO = {
    "job" => %w[job ask],
    "cylinder" => %w[cylinder strip measure fit], "airway" => %w[airway bleed], "fluid" => %w[fluid choose],
    "fastening" => %w[fit], "build" => %w[strip], "strip" => %w[strip cylinder],
    "measure" => %w[measure strip], "ground" => %w[ground cylinder],
    "shop" => %w[shop shelf]
  }.freeze

  # Where it is not known how long a file takes, s.
  USUAL_S = 5.0

  # Every figure of whole jobs, of jobs with slips, and of every template.
  TOLD = Dir["spec/core/told/*_spec.rb"].sort.map { |path| File.expand_path(path) }.freeze

  def initialize
    @texts = Dir["spec/core/**/*_spec.rb"].to_h { |path| [File.expand_path(path), File.read(path)] }
  end

  def of(path)
    parts = path.delete_prefix("lib/sandbag/").split("/")
    room = (%w[matter stages beside].include?(parts[0]) ? parts[1] : parts[0]).delete_suffix(".rb")
    name = File.basename(path, ".rb").split("_").map(&:capitalize).join
    rooms = ALSO.fetch(room, [room])
    near, far = @texts.partition { |file, _| rooms.any? { |each| file.include?("/spec/core/#{each}/") } }
    named = /\b#{name}\b|"#{room}"|\.#{room}\b/
    [*near.map(&:first), *far.select { |_, text| text.match?(named) }.map(&:first), *TOLD].uniq
      .sort_by { |file| seconds.fetch(file, USUAL_S) }
  end

  private

  # The quick ones first.
  def seconds
    @seconds ||= File.readlines("spec/runtimes.log", chomp: true).to_h do |line|
      file, took = line.split(":")
      [File.expand_path(file), took.to_f]
    end
  end
end

# @return [Symbol] :passed where no spec noticed it, :failed, :broken, or :endless after LONGEST_S
def tried(mutation, files)
  reader, writer = IO.pipe
  child = fork do
    reader.close
    $stdout.reopen(File::NULL)
    $stderr.reopen(File::NULL)
    $VERBOSE = nil
    writer.write(outcome(mutation, files))
    writer.close
    exit!(0)
  end
  writer.close
  Timeout.timeout(LONGEST_S) { reader.read }.to_sym
rescue Timeout::Error
  Process.kill(:KILL, child)
  :endless
ensure
  Process.wait(child)
end

# @return [String] passed, failed, or broken where the file does not even load
def outcome(mutation, files)
  begin
    eval(mutation.source, TOPLEVEL_BINDING, File.expand_path(mutation.path)) # standard:disable Security/Eval
  rescue StandardError, ScriptError
    return "broken"
  end
  run_specs(files) ? "passed" : "failed"
end

def run_specs(files)
  files.each { |path| load path }
  RSpec.world.example_groups.all? { |group| group.run(RSpec.configuration.reporter) }
rescue SystemExit, StandardError, ScriptError
  false
end

count, seed, under = (ARGV[0] || 200).to_i, (ARGV[1] || 1).to_i, ARGV[2] || "lib/sandbag"
require "rspec/core"
RSpec.configuration.files_to_run = []
require "spec_helper"
RSpec.configuration.fail_fast = 1
RSpec.configuration.filter_run_excluding(slow: true)
Sandbag::LOADER.eager_load
Sandbag::Tables.load_all

files = File.file?(under) ? [under] : Dir["#{under}/**/*.rb"].sort.grep_v(/schemas\.rb\z/)
places = files.flat_map { |path| Faults.new(path).tap { |faults| Prism.parse_file(path).value.accept(faults) }.all }
again = ENV["AGAIN"] && File.readlines(ENV["AGAIN"], chomp: true)
sample = if again
  again.filter_map { |told| places.find { |place| place.same?(told) } }.uniq
else
  places.sample(count, random: Random.new(seed))
end
specs = Specs.new
queue = Queue.new
sample.each { |mutation| queue << mutation }
queue.close
found = Queue.new
Array.new(2) {
  Thread.new do
    while (mutation = queue.pop)
      outcome = tried(mutation, specs.of(mutation.path))
      warn "survives: #{mutation}" if outcome == :passed
      found << [mutation, outcome]
      warn "#{found.size} of #{sample.size}" if (found.size % 20).zero?
    end
  end
}.each(&:join)
by_outcome = Array.new(found.size) { found.pop }.group_by(&:last).transform_values { |pairs| pairs.map(&:first) }
left = by_outcome.fetch(:passed, [])
puts left.map(&:to_s).sort
puts by_outcome.map { |outcome, mutations| "#{outcome} #{mutations.size}" }.join(", ")
share = (100.0 * left.size / sample.size).round(1)
puts "#{left.size} of #{sample.size} survive (#{share} %), of #{places.size} places; seed #{seed}"
