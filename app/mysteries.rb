# frozen_string_literal: true

require "monitor"

module App
  # Levers whose fault somebody is looking for, in memory only; the oldest are forgotten.
  class Mysteries
    MOST = 100

    # @attr mystery [Sandbag::Rig::Mystery]; diagnosis [Sandbag::Ask::Diagnosis] from what was tried; minutes [Integer]
    Search = Struct.new(:mystery, :diagnosis, :minutes)
    FACTS = {"side" => "brake", "abs" => "none"}.freeze

    def initialize
      @searches = {}
      @lock = Monitor.new
    end

    # @param id [String] names the lever: the same hides the same
    # @return [Search]
    def start(id)
      @lock.synchronize do
        @searches.delete(id)
        @searches.shift if @searches.size >= MOST
        @searches[id] = Search.new(Sandbag::Rig::Mystery.new(id),
          Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, FACTS), 0)
      end
    end

    # @return [Search]
    # Refuses one that is not there any more.
    def find(id)
      @lock.synchronize { @searches.fetch(id) { raise Store::Missing.new("mystery lever", id) } }
    end

    # Does a test on it, once.
    # @return [Search]
    def try(id, finding)
      @lock.synchronize do
        search = find(id)
        next search if search.diagnosis.findings.known?(finding)
        value = Sandbag::Rig::LeverTests.new(search.mystery).value(finding)
        search.diagnosis = search.diagnosis.with(finding, value)
        search.minutes += Sandbag::Knowledge.find("findings", finding)["minutes"]
        search
      end
    end
  end
end
