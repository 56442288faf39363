# frozen_string_literal: true

require_relative "../../support/told_rooms"

RSpec.describe "The figures of every template" do
  ToldRooms::ROOMS.each do |room|
    it "stay what they were in #{room}" do
      expect(ToldRooms.parts(room)).to tell_as_held("rooms/#{room}")
    end
  end
end
