# frozen_string_literal: true

source "https://rubygems.org"

# As new as Ruby 3.1 takes them. Newer ones want Ruby 3.2 (sqlite3 2.9, parallel_tests 5, zeitwerk 2.7) or 3.3
# (simplecov 1).

ruby ">= 3.1"

gem "base64", "~> 0.2"
gem "icalendar", "~> 2.10"
gem "json_schemer", "~> 2.5"
gem "matrix", "~> 0.4"
gem "prawn", "~> 2.5"
gem "prawn-table", "~> 0.2"
gem "puma", "~> 8.0"
gem "rack-protection", "~> 4.2"
gem "ruby-vips", "~> 2.2"
gem "sequel", "~> 5.110"
gem "sinatra", "~> 4.2"
gem "sqlite3", "~> 2.0"
gem "zeitwerk", "~> 2.6.18"

group :development do
  gem "bundler-audit", "~> 0.9", require: false
  gem "capybara", "~> 3.40"
  gem "parallel_tests", "~> 4.7"
  gem "pdf-reader", "~> 2.12"
  gem "prop_check", "~> 1.0"
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "selenium-webdriver", "~> 4.30"
  gem "simplecov", "~> 0.22", require: false
  gem "standard", "~> 1.50", require: false
end
