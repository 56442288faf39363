# frozen_string_literal: true

# Loads the demonstration into the database that the settings name.
require_relative "../app/boot"
require "fileutils"

FileUtils.mkdir_p(File.dirname(App::Settings.database))
App::Demo.new(Store::All.new(Store::Database.open(App::Settings.database)), Time.now).load
