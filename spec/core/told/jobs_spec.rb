# frozen_string_literal: true

require_relative "../../support/told_job"

RSpec.describe "The figures of a whole job" do
  jobs = [
    ["kart_front_rear", "reseal_mc", "a full bench"], ["road_front_twin", "reseal_mc", "a luggage scale and a ruler"],
    ["road_clutch", "slave_work", "a full bench"], ["bike_front", "bleed", "bottles and a ruler"],
    ["snow_jackshaft", "bleed", "hands only"], ["combined", "bleed", "a full bench"],
    ["scooter_rear", "renew_mc", "a full bench"]
  ]

  jobs.each do |template, route, owned|
    it "stay what they were: #{template.tr("_", " ")}, #{Sandbag::Job::Route.find(route).label}, with #{owned}" do
      expect(ToldJob.new(template, route, owned).parts).to tell_as_held("jobs/#{template}")
    end
  end
end
