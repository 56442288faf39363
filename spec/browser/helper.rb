# frozen_string_literal: true

require "capybara/rspec"

# A browser and a server for each example, driven as a mechanic would.
module AtTheBench
  include Capybara::RSpecMatchers

  AXE = "#{ROOT}/ui/node_modules/axe-core/axe.min.js"

  # The one thing to do now, as the first card of a stage says it.
  NOW = "section[aria-label='Now'] h2"

  attr_reader :served, :session

  # The page's time stands still until it is moved (ui/src/kit/time.ts): nothing that is seen rests on how fast this
  # machine is.
  TIME = <<~JS
    window.sandbagClock = (() => {
      let now = Date.now();
      const repeated = new Set();
      const due = (end) => [...repeated].filter((each) => each.next <= end).sort((a, b) => a.next - b.next)[0];
      return {
        now: () => now,
        every: (ms, tick) => {
          const each = { ms, tick, next: now + ms };
          repeated.add(each);
          return () => repeated.delete(each);
        },
        move: async (ms) => {
          const end = now + ms;
          for (let each = due(end); each; each = due(end)) {
            now = each.next;
            each.next += each.ms;
            await each.tick();
          }
          now = end;
        },
      };
    })();
  JS

  def stop_time
    Browser.before_pages(TIME)
  end

  # Everything that the page does in so many seconds is done, and answered, when this returns.
  def move_time(seconds)
    session.evaluate_async_script("window.sandbagClock.move(1000 * arguments[0]).then(arguments[1])", seconds)
  end

  # As on a device of this width: a window is never narrower than 500 px.
  def screen_of(width, height)
    session.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
      deviceScaleFactor: 1, mobile: false)
  end

  # Opens an address and waits for all that stands there.
  def open_page(path)
    session.visit(served.url + path)
    expect(session).to have_css("h1")
    expect(session).to have_no_content("Fetching…")
  end

  # Opens a panel that has folded to a line.
  def unfold(title)
    session.find("summary", text: /\A#{title}/).click
  end

  # One part of a stage, by its name.
  def folding(title)
    session.find("details", text: /\A\W*#{title}/)
  end

  def left_in(title)
    folding(title).text[/(\d+) to do/, 1].to_i
  end

  # Starts a job from the Bench on a circuit that has one open already.
  def start_a_second_job(circuit)
    # the first few machines are shown
    session.click_button "Show more" if session.has_no_button?("Start a job on #{circuit}", wait: 1)
    session.click_button "Start a job on #{circuit}"
    session.click_button "Start a second one all the same"
    expect(browser_faults).to all(
      include("/api/jobs - Failed to load resource: the server responded with a status of 422")
    )
    expect(session).to have_css("h1", text: "Ask")
    expect(session).to have_no_content("Fetching…")
  end

  # @return [Integer] how many entries a card makes: one, but for the looks of a round and a figure for several
  def entries_of(card)
    return card["all"]["looks"].size if card["kind"] == "round"
    1 + (card.dig("field", "also") || []).size
  end

  # Turns to a card by the arrows, one after the other as the page shows them.
  # @param heading [String] selector of a card's title; titles [Array<String>] of all cards, in their order
  def turn_to(heading, titles, wanted)
    until (at = session.find(heading).text) == wanted
      place = titles.index(at)
      press((place < titles.index(wanted)) ? :right : :left) if place
      expect(session).to have_no_css(heading, text: at, exact_text: true)
    end
  end

  # Types keys wherever the focus is, as a foot switch does. Keys held together are an array.
  def press(*keys)
    keys.each do |key|
      key.is_a?(Array) ? session.active_element.send_keys(key) : session.driver.browser.action.send_keys(key).perform
    end
  end

  # Opens a part of the circuit's drawing, by keyboard: the middle of a hose's box is not on the hose.
  def pick_part(name)
    session.find("g[role=button][aria-label^='#{name}']").send_keys(:enter)
  end

  # Picks one of the options of a question that is on the page.
  def pick(question, option)
    session.find("[role=radiogroup]", text: /\A#{question}/).find("label", text: option, exact_text: true).click
  end

  # One of the shop's people, out of the list that opens.
  def name_person(label, name)
    session.find("span", text: label, exact_text: true).find(:xpath, "following-sibling::button").click
    session.find("[role=option]", text: name, exact_text: true).click
    until_closed
  end

  # The list that was open is gone, and the page stands where it stood.
  def until_closed
    expect(session).to have_no_css("[role=listbox]")
  end

  # Strokes of one point by key, topped up whenever the reservoir asks.
  def count_strokes(strokes)
    strokes.times do |count|
      press "t" if figure("to-top-up").zero?
      press :space
      expect(session).to have_css("[data-figure='strokes']", text: (count + 1).to_s, exact_text: true)
    end
  end

  # By holding and opening, where another method is proposed.
  def hold_cycle_where_asked
    asked = "section[aria-label='Now']"
    expect(session).to have_css("h1", text: "Bleed")
    expect(session).to have_css("ul[aria-label='Before fluid moves'], #{asked} h2")
    return unless session.has_css?("#{asked} h2", text: "How is it bled?", wait: 0)
    session.find("#{asked} button", text: "Hold, open, close, release").click
  end

  # Each check of a list on the Bleed page with its first good answer, by key.
  def answer_looks(list)
    hold_cycle_where_asked if list == "Before fluid moves"
    expect(session).to have_css("ul[aria-label='#{list}']")
    session.all("ul[aria-label='#{list}'] li:has(button) strong").map(&:text).each do |label|
      row = Sandbag::Tables.rows("bleed_checks").find { |check| check["label"] == label }
      answer = "#{label}: #{row["answers"].fetch(row["good"].first)}"
      session.find_button(answer).send_keys(:enter)
      expect(session).to have_no_button(answer)
    end
  end

  # Until the page has each of these answers at hand, to be without a server.
  def wait_until_kept(*paths)
    script =
      "const done = arguments[1]; Promise.all(arguments[0].map(path => caches.match(path))).then(found => " \
        "done(found.every(Boolean)))"
    session
      .document
      .synchronize(Browser::PATIENCE_SECONDS, errors: [RuntimeError]) { session.evaluate_async_script(script, paths) || raise("not kept yet") }
  end

  def figure(name)
    session.find("[data-figure='#{name}']").text.to_i
  end

  # Light becomes dark, or dark light.
  def turn_the_theme
    button = session.find("header button", text: /\A(Dark|Light)\z/)
    was = button.text
    button.click
    expect(session).to have_no_button(was, exact: true)
  end

  # @param only [String, nil] the one rule that is tried
  # @return [Array<String>] what axe finds wrong on the page as it stands
  def axe_violations(only: nil)
    session.execute_script(File.read(AXE)) unless session.evaluate_script("!!window.axe")
    found =
      session.evaluate_async_script(<<~JS, only && {runOnly: [only]})
        const done = arguments[1];
        axe.run(document, { resultTypes: ["violations"], ...arguments[0] }).then((result) => done(result.violations));
      JS
    found.flat_map do |violation|
      violation["nodes"].map { |node| "#{violation["id"]}: #{node["html"][0, 160]} #{node["failureSummary"]}" }
    end
  end

  def browser_faults
    session
      .driver
      .browser
      .logs
      .get(:browser)
      .map(&:message)
      .reject { |message| message.include?("net::ERR_CONNECTION_REFUSED") }
  end

  # Written beside the page; raises what the server refuses.
  def post(path, body)
    answer = Net::HTTP.post(URI("#{served.url}/api#{path}"), JSON.generate(body), "content-type" => "application/json")
    raise answer.body unless answer.is_a?(Net::HTTPSuccess)
    JSON.parse(answer.body)
  end

  # Beside the page: the safe answer to every question that can stop a job and that its record does not know.
  def answer_stops(job)
    while (row = shown(job, "ask")["intake"].find { |each| each["stops"] && !each.key?("value") })
      post(
        "/jobs/#{job}/entries",
        {
          id: SecureRandom.uuid,
          stage: "ask",
          kind: "intake",
          data: {
            question: row["id"],
            value: JobInMemory.safe(row["id"], fluid_on_cap(job))
          }
        }
      )
    end
  end

  def fluid_on_cap(job)
    shown(job, "ask")["intake"].find { |row| row["id"] == "fluid_marked" }["value"]
  end

  # By digit keys on the Ask page: what can stop the job and what the record does not know.
  def answer_stops_by_key
    job = session.current_path.split("/")[2]
    while (row = shown(job, "ask")["intake"].find { |each| each["stops"] && !each["confirmed"] })
      expect(session).to have_css(NOW, text: row["ask"], exact_text: true)
      press (row["values"].keys.index(row.fetch("value") { JobInMemory.safe(row["id"], fluid_on_cap(job)) }) + 1).to_s
      expect(session).to have_no_css(NOW, text: row["ask"], exact_text: true)
    end
  end

  # By touch on the Strip page: whatever has to be true before fluid moves or a step is done.
  def protect
    job = session.current_path.split("/")[2]
    shown(job, "strip")["setup"]
      .select { |row| row["word"] == "block" }
      .each { |row| session.click_button "#{row["label"]}: #{row.fetch("values", {"done" => "Done"}).values.first}" }
  end

  # Ticks a line of the pull list.
  def tick(line)
    session.find("[role=checkbox][aria-label='#{line}']").click
    expect(session).to have_css("[role=checkbox][aria-label='#{line}'][aria-checked=true]")
  end

  # Until the server's answers make the block true.
  def until_api
    session.document.synchronize(Browser::PATIENCE_SECONDS, errors: [RuntimeError]) { yield || raise("not yet") }
  end

  # What a stage of a job shows.
  def shown(job, stage)
    api("/jobs/#{job}/stages/#{stage}").fetch(stage)
  end

  def api(path)
    JSON.parse(Net::HTTP.get(URI("#{served.url}/api#{path}")))
  end
end

RSpec.configure do |config|
  config.include AtTheBench, :browser
  config.around(:each, :browser) do |example|
    @served = Forked.new(demo: example.metadata.fetch(:demo, true))
    width, height = example.metadata.fetch(:window, [1280, 800])
    @session = Browser.fresh(width: width, height: height, all_parts: example.metadata.fetch(:all_parts, true),
      worker: example.metadata.fetch(:worker, false))
    example.run
    if example.exception
      FileUtils.mkdir_p("#{ROOT}/var/failed")
      @session.save_screenshot("#{ROOT}/var/failed/#{example.full_description.gsub(/\W+/, "-")[0, 80]}.png")
    end
  ensure
    @served&.remove
  end
end
