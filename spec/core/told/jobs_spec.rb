# frozen_string_literal: true

require_relative "../../support/told_job"

RSpec.describe "The figures of a whole job" do
  ToldJob::JOBS.each do |template, route, owned|
    it "stay what they were: #{template.tr("_", " ")}, #{Sandbag::Job::Route.find(route).label}, with #{owned}" do
      told = ToldJob.new(template, route, owned)
      expect(told.parts).to tell_as_held("jobs/#{told.name}")
      expect(told).to be_signed
    end
  end
end
