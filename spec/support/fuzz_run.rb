# frozen_string_literal: true

require "timeout"

# Sends made-up requests to the whole application and looks at what comes back, and at what is left.
class FuzzRun
  TABLES = %i[machines circuits jobs entries stock_moves photos comparisons settings].freeze
  # A request that takes so long never ends, on any machine.
  ENDLESS_SECONDS = 300

  attr_reader :seed, :faults, :statuses

  # @param app [#call]; store [Store::All]
  def initialize(app, store, seed:)
    @app = app
    @store = store
    @seed = seed
    @faults = []
    @statuses = Hash.new(0)
    @fuzz = Fuzz.new(App::Contract.load, ids, seed: seed)
  end

  def send_requests(count)
    count.times { send_one(@fuzz.request) }
  end

  # @return [Array<String>] lists, machines, circuits, jobs and stages that cannot be read
  def unreadable
    found = ids
    paths =
      %w[/jobs?state=all&limit=100 /machines?retired=true&limit=100 /shelf /shop /knowledge] +
      found["machines"].map { |id| "/machines/#{id}" } + found["circuits"].map { |id| "/circuits/#{id}" } +
      found["jobs"].flat_map do |id|
        ["/jobs/#{id}", "/jobs/#{id}/supplies", *stages_of(id).map { |stage| "/jobs/#{id}/stages/#{stage}" }]
      end
    paths.filter_map { |path| get(path).then { |answer| "#{path}: #{answer.status}" unless answer.status == 200 } }
  end

  private

  def send_one(request)
    before = rows
    answer = Timeout.timeout(ENDLESS_SECONDS) { answer_to(request) }
    @statuses[answer.status] += 1
    said = "#{request.method} #{request.path}?#{request.query} #{request.body.to_s[0, 400]}"
    @faults << "#{answer.status} in answer to #{said}" if answer.status >= 500
    @faults << "stored though refused: #{said}" if answer.status >= 400 && rows != before
  end

  def answer_to(request)
    Rack::MockRequest.new(@app).request(
      request.method,
      "/api#{request.path}?#{request.query}",
      "HTTP_HOST" => "127.0.0.1",
      "CONTENT_TYPE" => "application/json",
      :input => request.body || ""
    )
  end

  def database
    @store.instance_variable_get(:@database)
  end

  def rows
    TABLES.map { |table| database[table].count }
  end

  def ids
    {
      "machines" => database[:machines].select_map(:id),
      "circuits" => database[:circuits].select_map(:id),
      "jobs" => database[:jobs].select_map(:id),
      "shelf" => database[:stock_moves].select_map(:item).uniq,
      "comparisons" => database[:comparisons].select_map(:id)
    }
  end

  def stages_of(id)
    JSON.parse(get("/jobs/#{id}").body)["stages"].map { |stage| stage["id"] }
  end

  def get(path)
    Rack::MockRequest.new(@app).get("/api#{path}", "HTTP_HOST" => "127.0.0.1")
  end
end
