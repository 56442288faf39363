# frozen_string_literal: true

# Loads the demonstration into the database that the settings name.
require_relative "../app/boot"
require_relative "fell_gate"
require "fileutils"

FileUtils.mkdir_p(File.dirname(App::Settings.database))
Demo::FellGate.new(Store::All.new(Store::Database.open(App::Settings.database)), Time.now).load
