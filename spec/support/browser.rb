# frozen_string_literal: true

require "capybara"
require "selenium-webdriver"

# Debian's Chromium as a shell without windows, kept off the network: the same engine, which spends a quarter less of
# the processor than the whole program without a monitor.
module Browser
  ARGUMENTS = %w[
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
  # Between two looks at a page that is not there yet: each of them takes the time of a processor that the page needs.
  RETRY_SECONDS = 0.05
  # Waits end on what is waited for; only what never comes takes so long, on any machine.
  PATIENCE_SECONDS = 60
  # Looking a page through for what is out of reach takes long on a laden machine.
  SCRIPT_SECONDS = 300

  # As a mechanic sets it who wants the whole page of a stage open.
  ALL_PARTS = "if (location.protocol !== 'about:') localStorage['sandbag.rooms'] ||= 'all'"

  # As over the shop's plain http, where no browser lets a page have a worker. It fetches every room and keeps every
  # answer, a quarter of what the browser has to do.
  NO_WORKER = "delete Navigator.prototype.serviceWorker"

  def self.register(width: 1280, height: 800)
    Capybara.register_driver(:chromium) do |app|
      options =
        Selenium::WebDriver::Chrome::Options.new(
          args: ARGUMENTS + ["--window-size=#{width},#{height}"],
          binary: "/usr/lib/chromium/chromium-headless-shell"
        )
      options.add_option("goog:loggingPrefs", {browser: "ALL"})
      service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      Capybara::Selenium::Driver.new(app, browser: :chrome, options: options, service: service)
    end
    Capybara.enable_aria_label = true
    Capybara.run_server = false
    Capybara.default_max_wait_time = PATIENCE_SECONDS
    Capybara.default_retry_interval = RETRY_SECONDS
    Capybara::Session.new(:chromium)
  end

  # The browser of this process with one fresh window. What a page keeps is kept by its address, and every example's
  # server has a port of its own.
  # @param all_parts [Boolean] every part of a stage is open, as a mechanic may set it; else one at a time
  # @param worker [Boolean] the page may have its worker, which answers while the server is away
  # @return [Capybara::Session]
  def self.fresh(width: 1280, height: 800, all_parts: true, worker: false)
    @session ||= register.tap { |session| at_exit { session.quit } }
    first, *used = @session.windows
    @session.switch_to_window(first)
    used.each(&:close)
    fresh = @session.open_new_window
    @session.switch_to_window(fresh)
    # without a monitor no window but the first has the focus by itself
    @session.driver.browser.execute_cdp("Emulation.setFocusEmulationEnabled", enabled: true)
    fresh.resize_to(width, height)
    before_pages(ALL_PARTS) if all_parts
    before_pages(NO_WORKER) unless worker
    @session.driver.browser.manage.timeouts.script_timeout = SCRIPT_SECONDS
    @session.driver.browser.action.clear_all_actions
    @session.driver.browser.logs.get(:browser)
    @session
  end

  # Runs a script in every page of the window before the page's own.
  def self.before_pages(script)
    @session.driver.browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: script)
  end
end
