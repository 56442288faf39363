# frozen_string_literal: true

ROOT = File.expand_path("..", __dir__)
ENV["BUNDLE_GEMFILE"] ||= "#{ROOT}/Gemfile"
require "bundler/setup"
$LOAD_PATH.unshift("#{ROOT}/lib")
require "sandbag"

module Store; end

# The thin web skin over the core and the store.
module App; end

Zeitwerk::Loader.new.tap do |loader|
  loader.push_dir("#{ROOT}/store", namespace: Store)
  loader.push_dir("#{ROOT}/app", namespace: App)
  loader.ignore("#{ROOT}/store/migrations", "#{ROOT}/store/backup.rb", "#{ROOT}/store/restore.rb",
    "#{ROOT}/app/boot.rb", "#{ROOT}/app/puma.rb", "#{ROOT}/app/fonts")
  loader.setup
end
