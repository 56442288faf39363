# frozen_string_literal: true

require "open3"
require "tmpdir"

RSpec.describe "A backup" do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def back_up(to)
    Open3.capture2e({"SANDBAG_DATABASE" => "#{@folder}/records.db"}, RbConfig.ruby, "#{ROOT}/store/backup.rb", to)
  end

  it "copies the records whole while they are in use, for their owner alone, and overwrites nothing" do
    store = Store::All.new(Store::Database.open("#{@folder}/records.db"))
    store.machines.add(id: "one", name: "One", kind: "road")
    copy = "#{@folder}/copy.db"
    said, status = back_up(copy)
    expect([status.success?, said]).to match [true, /whole/]
    expect(Store::All.new(Store::Database.open(copy)).machines.find("one")).to include(name: "One")
    expect(File.stat(copy).mode & 0o077).to eq 0

    said, status = back_up(copy)
    expect([status.success?, said]).to match [false, /is there already/]
  end

  it "says so when there is no such folder" do
    Store::Database.open("#{@folder}/records.db").disconnect
    said, status = back_up("#{@folder}/stick/copy.db")
    expect([status.success?, said]).to eq [false, "There is no folder #{@folder}/stick.\n"]
  end

  it "says so when there is nothing to copy" do
    said, status = back_up("#{@folder}/copy.db")
    expect([status.success?, said]).to match [false, /no records/]
    expect(File.exist?("#{@folder}/copy.db")).to be false
  end
end
