# frozen_string_literal: true

require_relative "../../support/told_practice"
require_relative "../../support/told_rooms"

RSpec.describe "The figures of every template" do
  [ToldRooms, ToldPractice].each do |told|
    told::ROOMS.each do |room|
      it "stay what they were in #{room.tr("_", " ")}" do
        expect(told.parts(room)).to tell_as_held("rooms/#{room}")
      end
    end
  end
end
