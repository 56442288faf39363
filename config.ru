# frozen_string_literal: true

require_relative "app/boot"
require "fileutils"

begin
  FileUtils.mkdir_p(File.dirname(App::Settings.database))
  database = Store::Opening.database(App::Settings.database)
rescue Store::Opening::Fault => fault
  abort fault.message
end
run App::Server.build(Store::All.new(database), clock: -> { App::Settings.now },
  log: App::RequestLog.logger(App::Settings.log))
