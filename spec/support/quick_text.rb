# frozen_string_literal: true

require "capybara"
require "selenium-webdriver"

# What a reader sees of an element, asked of the browser itself: chromedriver works it out in script, element by
# element, which takes seconds on a long page. Drawings have no inner text and are read as before.
module QuickText
  INNER = "return arguments[0].innerText"

  def visible_text
    text = driver.browser.execute_script(INNER, native)
    text ? text.gsub(/[[:blank:]]+/, " ").gsub(/ ?\n ?/, "\n").strip : super
  end
end

Capybara::Selenium::Node.prepend(QuickText)
