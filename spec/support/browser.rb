# frozen_string_literal: true

require "capybara"
require "selenium-webdriver"

# Debian's Chromium without a monitor, kept off the network.
module Browser
  ARGUMENTS = %w[
    --headless=new
    --no-sandbox
    --disable-gpu
    --disable-quic
    --no-first-run
    --disable-background-networking
    --disable-component-update
    --disable-sync
    --disable-dev-shm-usage
    --force-device-scale-factor=1
    --hide-scrollbars
  ].freeze
  PATIENCE_SECONDS = 8

  def self.register(width: 1280, height: 800)
    Capybara.register_driver(:chromium) do |app|
      options =
        Selenium::WebDriver::Chrome::Options.new(
          args: ARGUMENTS + ["--window-size=#{width},#{height}"],
          binary: "/usr/bin/chromium"
        )
      options.add_option("goog:loggingPrefs", {browser: "ALL"})
      service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      Capybara::Selenium::Driver.new(app, browser: :chrome, options: options, service: service)
    end
    Capybara.enable_aria_label = true
    Capybara.run_server = false
    Capybara.default_max_wait_time = PATIENCE_SECONDS
    Capybara::Session.new(:chromium)
  end
end
