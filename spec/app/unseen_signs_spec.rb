# frozen_string_literal: true

RSpec.describe "Signs that cannot be seen", :api do
  before do
    add_circuit("c", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "c"})
  end

  it "are refused in names and texts, line breaks in a text excepted" do
    answer = ask(:post, "/machines", {id: "m", name: "Bell\u0007", kind: "road"})
    expect([last_response.status, pointers(answer)]).to eq [422, ["name"]]
    entry("j", "ask", "note", {text: "two\nlines\tof it"})
    expect(last_response.status).to eq 201
    expect(pointers(entry("j", "ask", "note", {text: "a\u001b[31mred"}))).to eq ["data/text"]
    entry("j", "ask", "route", {route: "refer"})
    expect(pointers(entry("j", "ask", "referred", {name: "R.\nTarn"}))).to eq ["data/name"]
  end

  it "never leave in a calendar, whatever was stored before" do
    store.machines.change("m-c", {name: "Two\r\nBEGIN:VEVENT"})
    entry("j", "ask", "wait", {wait: "parts_on_order", until: "2026-03-20"})
    header "Host", "127.0.0.1"
    get "/api/due/calendar.ics"
    expect(last_response.body.scan("\r\nBEGIN:VEVENT").size).to eq last_response.body.scan("UID:").size
    expect(last_response.body).not_to match(/[[:cntrl:]&&[^\r\n]]/)
  end

  it "and times out of all reason are refused" do
    %w[0001-01-01T08:00:00Z 9999-12-31T08:00:00Z 2032-01-01].each do |far|
      expect(pointers(entry("j", "ask", "wait", {wait: "parts_on_order", until: far}))).to eq ["data/until"]
    end
    expect(pointers(entry("j", "ask", "promise", {at: "9999-12-31T08:00:00Z"}))).to eq ["data/at"]
    entry("j", "ask", "promise", {at: "2031-12-31T08:00:00Z"})
    expect(last_response.status).to eq 201
  end

  it "do not hide a formula from a spreadsheet" do
    cells = [" =1+1", "＝1+1", "\n=1", "\u00a0@SUM", "-2", "plain", nil, 3]
    expect(App::CsvCell.safe(cells)).to eq ["' =1+1", "'＝1+1", "'\n=1", "'\u00a0@SUM", "'-2", "plain", nil, 3]
  end

  it "at the ends of lines are one thing, however they are mixed" do
    rows = App::ListFile.new("name,kind\r\nOne,road\nTwo,road\rThree,road", App::MachineList::COLUMNS, %w[name]).rows
    expect(rows.map { |row| row.values["name"] }).to eq %w[One Two Three]
  end

  it "let a gauge's file be asked about: a comma before thousands is no separator" do
    file = ->(cell) { "force_n,travel_mm\n1,1\n2,2\n3,3\n#{cell},4\n" }
    found = problems { Sandbag::Feel::GaugeFile.new(file['"1,234.5"']) }.first
    expect([found.message, found.accepted]).to eq ["line 5: force is “1,234.5”, which is no figure",
      "1234.5, or two cells"]
    expect(Sandbag::Feel::GaugeFile.new(file['"12.5"']).force_n.last).to eq 12.5
  end
end
