# frozen_string_literal: true

require "pdf-reader"

# A shop that reads inches reads them in every sentence, on the card and in a file.
RSpec.describe "An inch shop", :api do
  let(:metric) { /\d\s?(mm|mL|MPa)\b/ }

  before do
    ask(:put, "/shop", {units: {length: "in", volume: "fl oz", pressure: "psi"}})
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    entry("j", "ask", "route", {route: "reseal_mc"})
    entry("j", "choose", "fluid", {fluid: "dot4", stamped: "dot4"})
  end

  # Every sentence of an answer: texts of more than one word.
  def sentences(answer)
    case answer
    when Hash then answer.values.flat_map { |value| sentences(value) }
    when Array then answer.flat_map { |value| sentences(value) }
    when String then answer.include?(" ") ? [answer] : []
    else []
    end
  end

  it "finds no metric figure in any sentence of a stage" do
    stages = ask(:get, "/jobs/j")["stages"].map { |stage| stage["id"] }
    said = stages.flat_map { |id| sentences(stage("j", id)) }
    measured = said.grep(metric).reject { |sentence| table_words.any? { |words| sentence.include?(words) } }
    expect(measured).to be_empty, measured.uniq.first(10).join("\n")
  end

  # Words of the tables themselves name tools and papers by their metric size.
  def table_words
    @table_words ||= sentences(Sandbag::Tables.names.map { |name| Sandbag::Tables.rows(name) }).grep(metric).uniq
  end

  it "reads fluid in fluid ounces on the card, and lengths in inches" do
    entry("j", "feel", "hold", {creep: "0.5"})
    header "Host", "127.0.0.1"
    get "/api/jobs/j/card.pdf"
    text = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join(" ").squeeze(" ")
    expect(text).to match(/\d fl oz/).and match(/0\.\d+ in\b/)
  end

  it "reads the units of a sizing in the head of its CSV" do
    header "Host", "127.0.0.1"
    header "Accept", "text/csv"
    header "Content-Type", "application/json"
    post "/api/compute/sizings", JSON.generate(sheet: twin_disc_plain)
    expect(last_response.body.lines.first).to include("in").and satisfy { |line| !line.include?("mm") }
  end
end
