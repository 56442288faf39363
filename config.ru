# frozen_string_literal: true

require_relative "app/boot"
require "fileutils"

FileUtils.mkdir_p(File.dirname(App::Settings.database))
run App::Server.build(Store::All.new(Store::Database.open(App::Settings.database)))
