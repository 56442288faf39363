# frozen_string_literal: true

require_relative "helper"

RSpec.describe "A page whose script is still on its way", :browser do
  after { blocked([]) }

  def blocked(urls)
    session.driver.browser.execute_cdp("Network.enable")
    session.driver.browser.execute_cdp("Network.setBlockedURLs", urls:)
  end

  def place_of_name
    session.evaluate_script(<<~JS)
      (() => {
        const range = document.createRange();
        const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (words.nextNode()) if (words.currentNode.data.trim() === "Sandbag") break;
        range.selectNodeContents(words.currentNode);
        const { left, top, right, bottom } = range.getBoundingClientRect();
        return [left, top, right, bottom].map(Math.round);
      })()
    JS
  end

  it "has the name where the finished page has it, at each width" do
    [390, 820, 1280].each do |width|
      screen_of(width, 800)
      blocked(["*/assets/*.js"])
      session.visit "#{served.url}/shop"
      expect(session).to have_css(".first", text: "Sandbag")
      before = place_of_name
      blocked([])
      session.visit "#{served.url}/shop"
      expect(session).to have_css("h1", text: "Shop")
      expect(session).to have_no_css(".first")
      expect(place_of_name).to eq(before), "at #{width} px"
    end
  end
end
