# frozen_string_literal: true

require_relative "helper"

RSpec.describe "Two cylinders on one pedal", :browser do
  def share_of(name)
    kart = api("/machines")["items"].find { |machine| machine["name"] == "Club kart" }
    circuit = api("/machines/#{kart["id"]}")["circuits"].find { |each| each["name"] == name }
    circuit["sheet"]["parts"].find { |part| part["part"] == "lever" }.dig("values", "bar_share", "value")
  end

  it "shows where the balance bar has to stand, tries a share and writes it into both records, by keys" do
    open_page "/machines"
    session.fill_in "Name", with: "Club kart\n"
    session.find("label", text: "Kart", exact_text: true).click
    session.click_button "Add this machine"
    session.click_button "Front pair, balance bar"
    expect(session).to have_css("h2", text: "Front pair, balance bar", exact_text: true)
    session.click_link "Open in the Sizer"
    # one circuit alone has nothing to be balanced against
    expect(session).to have_content("circuits on a balance bar in this machine's record: Front pair, balance bar")
    session.go_back
    session.click_button "Rear, balance bar"
    expect(session).to have_css("h2", text: "Rear, balance bar", exact_text: true)
    session.first("a", text: "Open in the Sizer").click
    expect(session).to have_css("svg[aria-label^='Balance bar: 55 % of the push to Front pair']")
    expect(session).to have_content(/Turn the bar 1\.\d turns towards the front: 60 % of the brake force in front now/)
    share = session.find_field("Push to the front")
    share.set("5\n")
    expect(session).to have_content("A share from 10 to 90 %.")
    expect(session.find_field("Push to the front").value).to eq "5"
    session.find_field("Push to the front").set("60\n")
    expect(session).to have_css("svg[aria-label^='Balance bar: 60 % of the push']")
    expect(session).to have_content("towards the rear")
    session.find("button", text: /\ATry 57\.\d %/).send_keys(:enter)
    expect(session).to have_content("The bar stands right")
    session.find("button", text: /\AWrite 57\.\d % into both records/).send_keys(:enter)
    until_api { (share_of("Front pair, balance bar") - 57.2).abs < 0.01 }
    expect(share_of("Rear, balance bar")).to be_within(0.01).of 42.8
    expect(session).to have_css("table[aria-label='Pairs of cylinders, ranked'] tr", text: "fitted now")
    # the one circuit alone was refused
    expect(browser_faults).to all(include("status of 422"))
  end
end
