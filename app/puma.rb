# frozen_string_literal: true

# Puma's settings: one process, this machine only.
require_relative "boot"

bind "tcp://#{App::Settings::HOST}:#{App::Settings.port}"
threads 1, 5
environment "production"
quiet
