# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

# One damaged row hides nothing else: whatever a list, the calendar, the plan or the start reads, the other rows are
# there, and what is damaged is named.
RSpec.describe "A damaged row", :api do
  def damages = ["", "half", "null", "[]", "{}", '{"v":99}', "2026-13-45"]

  # Damages of each column; the next column has the next ones.
  def each_column = Integer(ENV.fetch("SANDBAG_DAMAGES", "1"))

  before do
    FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26))
    sheet = ask(:get, "/circuits/ridgeline-front")["sheet"]
    ask(:post, "/comparisons", {id: "cmp", circuit_id: "ridgeline-front", name: "two bores", body: {sheet: sheet}})
    expect(last_response.status).to eq 201
    ask(:put, "/shop", ask(:get, "/shop").slice("name", "units", "school", "band", "limits"))
    database[:imports].insert(id: "i", at: "2026-03-14T09:26:00Z",
      body: '{"machines":[],"jobs":[],"moves":[],"standing":{}}')
    database.run("PRAGMA foreign_keys = OFF")
    allow(App::Contract).to receive(:load).and_return(Api::CONTRACT)
  end

  def database = store.instance_variable_get(:@database)

  # Every column of text that is no key, with a row to damage.
  def texts
    database.tables.reject { |table| table == :schema_info }.flat_map do |table|
      row = database[table].first
      keys = key_of(table)
      row.nil? ? [] : database.schema(table).filter_map do |name, column|
        [table, name, row] if column[:db_type].match?(/text/i) && !keys.include?(name)
      end
    end
  end

  def key_of(table)
    keys = database.schema(table).select { |_, column| column[:primary_key] }.map(&:first)
    keys.empty? ? database.schema(table).map(&:first).first(2) : keys
  end

  # A server that starts on the records as they are now.
  def started
    @app = @_rack_test_current_session = @_rack_test_sessions = nil
  end

  def lists
    machines = store.machines.all.first(2).map { |machine| "/machines/#{machine[:id]}" }
    %w[/machines /jobs?limit=100 /due?days=3650&limit=100 /levers /shelf /shop /knowledge /archive/imports] + machines
  end

  def answers
    found = lists.to_h do |path|
      ask(:get, path)
      [path, last_response.status]
    end
    ask(:post, "/plans", {benches: 1, minutes: 240})
    found["plan"] = last_response.status
    header "Host", "127.0.0.1"
    get "/api/due/calendar.ics"
    found.merge("calendar" => last_response.status)
  end

  it "hides no list, no calendar and no plan, and stops no start, in whichever column and however it is damaged" do
    wrong = texts.each_with_index.flat_map do |(table, column, row), index|
      at = database[table].where(row.slice(*key_of(table)))
      damages.rotate(index * each_column).first(each_column).filter_map do |damage|
        at.update(column => damage)
        started
        bad = answers.reject { |_, status| status == 200 }
        "#{table}.#{column} “#{damage}”: #{bad}" if bad.any?
      rescue Sequel::ConstraintViolation
        nil
      rescue RuntimeError => fault
        "#{table}.#{column} “#{damage}”: #{fault.message[0, 200]}"
      ensure
        at.update(column => row[column])
      end
    end
    expect(wrong.join("\n")).to eq ""
  end
end
