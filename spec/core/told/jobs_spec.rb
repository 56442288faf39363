# frozen_string_literal: true

require_relative "../../support/told_job"

RSpec.describe "The figures of a whole job" do
  def stay_what_they_were(name, told)
    expect(told.parts).to tell_as_held("jobs/#{name}")
    expect(told).to be_signed
  end

  ToldJob::JOBS.each do |template, route, owned|
    it "stay what they were: #{template.tr("_", " ")}, #{Sandbag::Job::Route.find(route).label}, with #{owned}" do
      stay_what_they_were(template, ToldJob.new(template, route, owned))
    end
  end

  ToldJob::WITH_ABS.each do |template, route, owned|
    it "stay what they were with ABS: #{template.tr("_", " ")}, #{Sandbag::Job::Route.find(route).label}" do
      stay_what_they_were("#{template}.abs", ToldJob.new(template, route, owned, abs: true))
    end
  end
end
