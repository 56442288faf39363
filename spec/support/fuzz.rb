# frozen_string_literal: true

require "json"
require "rack/mock"

# Requests made up from the contract itself: what it says may be sent, and the same with something wrong in it. Seeded.
class Fuzz
  # Texts that have broken programs before.
  ODD = [
    "",
    " ",
    "\u0000",
    "NaN",
    "1e400",
    "-1",
    "0",
    "1,200",
    "../../etc/passwd",
    "<script>",
    "=1+1",
    "Žluťoučký",
    "🏍",
    "a" * 300,
    "null",
    "2099-01-01T00:00:00Z",
    "\e[2J",
    "%ff",
    "5/0",
    "38 38 38"
  ].freeze
  ODD_NUMBERS = [0, -1, 1, 1e308, -1e308, 2**63, 0.1, 40, 6000, 1e-9].freeze
  DEEPEST = 6

  # @attr method, path, body [String, nil], query [String]
  Request = Struct.new(:method, :path, :body, :query, keyword_init: true)

  # @param contract [App::Contract]; ids [Hash{String => Array<String>}] ids that are there, by where they stand in a
  #   path
  def initialize(contract, ids, seed:)
    @document = contract.document
    @ids = ids
    @random = Random.new(seed)
    @operations = @document["paths"].flat_map { |path, verbs| verbs.map { |verb, operation| [verb, path, operation] } }
  end

  # @return [Request]
  def request
    verb, path, operation = @operations.sample(random: @random)
    json = operation.dig("requestBody", "content", "application/json", "schema")
    body = json && value(json)
    body = broken(body) if json && chance(0.1)
    Request.new(method: verb.upcase, path: filled(path), body: body &&
      (body.is_a?(String) ? body : JSON.generate(body)), query: query(operation))
  end

  private

  def chance(share)
    @random.rand < share
  end

  def filled(path)
    path.gsub(/\{(\w+)\}/) { chance(0.9) ? (@ids[path.split("/")[1]] || ["none"]).sample(random: @random) : "nobody" }
  end

  def query(operation)
    (operation["parameters"] || [])
      .map { |parameter| resolved(parameter) }
      .select { |parameter| parameter["in"] == "query" && chance(0.5) }
      .map { |parameter| "#{parameter["name"]}=#{Rack::Utils.escape(value(parameter["schema"]).to_s)}" }
      .join("&")
  end

  def resolved(schema)
    schema = @document.dig(*schema["$ref"].delete_prefix("#/").split("/")) while schema["$ref"]
    schema
  end

  def value(schema, depth = 0)
    schema = resolved(schema)
    return wrong if chance(0.04)
    return schema["enum"].sample(random: @random) if schema["enum"]
    kind = Array(schema["type"] || "object").sample(random: @random)
    case kind
    when "object"
      object(schema, depth)
    when "array"
      Array.new(@random.rand(0..[schema["maxItems"] || 4, 4].min)) do
        (depth < DEEPEST) ? value(schema["items"] || {"type" => "string"}, depth + 1) : "x"
      end
    when "string"
      text(schema)
    when "number", "integer"
      number(schema, kind)
    when "boolean"
      chance(0.5)
    end
  end

  def object(schema, depth)
    names =
      (schema["properties"] || {}).select do |name, _|
        (schema["required"] || []).include?(name) || (depth < DEEPEST && chance(0.6))
      end
    made = names.to_h { |name, each| [name, value(each, depth + 1)] }
    made = made.reject { |_, each| each.nil? } if chance(0.5)
    made["data"] = data if schema["properties"]&.key?("kind") && schema["properties"].key?("data")
    made = made.merge("strange" => 1) if chance(0.03)
    made
  end

  # Names and values that entries and moves know, in any mixture.
  def data
    rows = Sandbag::Tables.rows("entry_kinds") + Sandbag::Tables.rows("stock_moves")
    rows.sample(random: @random)["data"].to_h { |name, rule| [name.delete_suffix("?"), said(rule)] }
  end

  def said(rule)
    case rule["type"]
    when "id"
      (rule["tables"] || [rule["table"]]).flat_map { |table| Sandbag::Tables.ids(table) }.sample(random: @random)
    when "choice" then rule["choices"].sample(random: @random)
    when "boolean" then chance(0.5)
    else chance(0.5) ? ODD_NUMBERS.sample(random: @random) : ODD.sample(random: @random)
    end
  end

  def text(schema)
    return "2026-03-14T09:#{@random.rand(10..59)}:00Z" if schema["format"] == "date-time"
    return @ids.values.flatten.sample(random: @random) if schema["pattern"] && chance(0.5)
    return "id-#{@random.rand(1_000)}" if schema["pattern"]
    chance(0.4) ? ODD.sample(random: @random) : %w[dot4 14 17,5 bleed ask 34 front 19.05].sample(random: @random)
  end

  def number(schema, kind)
    made = chance(0.5) ? ODD_NUMBERS.sample(random: @random) : @random.rand(1.0..60.0)
    if kind == "integer"
      made.clamp(-2**62, 2**62).round
    else
      made.clamp(schema["minimum"] || -Float::MAX, schema["maximum"] || Float::MAX)
    end
  end

  def wrong
    [nil, [], {}, "", -1, 1e308, true, "x" * 5_000, [[[[]]]], {"$ref" => "#"}].sample(random: @random)
  end

  # A body that is no JSON any more.
  def broken(body)
    text = JSON.generate(body)
    [text[0, text.size / 2], "#{text}}", text.tr(":", ";"), "[#{text}", "\xFF#{text}".b, "[" * 60].sample(
      random: @random
    )
  end
end
