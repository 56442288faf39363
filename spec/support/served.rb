# frozen_string_literal: true

require "fileutils"
require "net/http"
require "socket"
require "tmpdir"

# Sandbag in a process of its own, as a mechanic has it: on a database file, on a port of this machine. Can be killed
# and started again on the same file.
class Served
  # A laden machine takes its time; an empty one boots in two.
  BOOT_SECONDS = 60

  attr_reader :port, :database

  def initialize(demo: true)
    @folder = Dir.mktmpdir("sandbag")
    @database = "#{@folder}/sandbag.db"
    @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
    FileUtils.cp(Served.demo_database, @database) if demo
    @clock = "#{@folder}/clock"
    File.write(@clock, "0")
    start
  end

  # The demonstration, loaded once and copied for each server.
  def self.demo_database
    @demo_database ||= "#{Dir.mktmpdir("sandbag-demo")}/demo.db".tap do |path|
      system({"SANDBAG_DATABASE" => path}, RbConfig.ruby, "#{ROOT}/demo/load.rb", exception: true)
      at_exit { FileUtils.rm_rf(File.dirname(path)) }
    end
  end

  def url
    "http://127.0.0.1:#{port}"
  end

  def start
    @pid = boot
    deadline = Time.now + BOOT_SECONDS
    until answering?
      raise "the server did not start:\n#{File.read("#{@folder}/log")}" if Time.now > deadline
      sleep 0.05
    end
    self
  end

  # What is asked to stop and does not is killed after so long.
  STOP_SECONDS = 60

  # @param signal [String] KILL leaves it no time for anything
  def stop(signal = "TERM")
    return unless @pid
    Process.kill(signal, @pid)
    deadline = Time.now + STOP_SECONDS
    sleep 0.02 until (gone = Process.wait(@pid, Process::WNOHANG)) || Time.now > deadline
    stop_at_once unless gone
    @pid = nil
  end

  # The server's clock goes on at once by so much.
  def pass_minutes(minutes)
    File.write(@clock, (Integer(File.read(@clock)) + 60 * minutes).to_s)
  end

  def remove
    stop
    FileUtils.rm_rf(@folder)
  end

  private

  def stop_at_once
    Process.kill("KILL", @pid)
    Process.wait(@pid)
  end

  def boot
    spawn(environment, "bin/support/puma.sh", chdir: ROOT, out: "#{@folder}/log", err: %i[child out])
  end

  def environment
    {"SANDBAG_PORT" => port.to_s, "SANDBAG_DATABASE" => database, "SANDBAG_CLOCK" => @clock}
  end

  def answering?
    Net::HTTP.get_response(URI("#{url}/api/knowledge")).is_a?(Net::HTTPOK)
  rescue SystemCallError
    false
  end
end
