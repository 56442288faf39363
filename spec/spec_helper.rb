# frozen_string_literal: true

if ENV["COVERAGE"]
  require "simplecov"
  SimpleCov.start { add_filter "/spec/" }
end

require_relative "../app/boot"
require "prop_check"
Dir["#{__dir__}/support/*.rb"].each { |file| require file }

RSpec.configure do |config|
  config.expect_with(:rspec) { |expectations| expectations.syntax = :expect }
  config.mock_with(:rspec) { |mocks| mocks.verify_partial_doubles = true }
  config.disable_monkey_patching!
  config.warnings = false
  Kernel.srand(config.seed)
  config.include Sheets
  config.include Properties
end
