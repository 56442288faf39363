# frozen_string_literal: true

# Every repair that works at a place, at each place where it can work, to the signature; what it opens, counts and
# tightens is there and nowhere else.
RSpec.describe "A repair at one place" do
  def begun(template, route)
    job = JobInMemory.new(Sandbag::Circuit::Template.filled(template))
    job.answer_stops
    job.add("ask", "route", {"route" => route})
    job
  end

  def fluid_of(job)
    job.fitted.value("fluid", "stamped")
  end

  %w[road_front_twin road_front_split kart_front_rear road_rear road_clutch bike_front].each do |template|
    sheet = Sandbag::Circuit::Template.filled(template)
    sheet = sheet.set("vehicle", "abs", "none", "measured") unless sheet.clutch?
    Sandbag::Job::Route.all.select { |route| route.at.any? && route.suits?(sheet.kind) }.each do |route|
      places = Sandbag::Ask::Where.new(route, Sandbag::Circuit::Places.of(sheet), named: nil, found: []).candidates
      places.each do |place|
        it "#{route.label}, #{place.label.downcase}, #{template.tr("_", " ")}: opened, counted, tightened there alone",
          :slow do
          job = begun(template, route.id)
          job.add("ask", "at", {"places" => [place.id]})
          opened = job.state.ask.where.opened.select(&:joint?)
          job.choose_what_is_wanted(fluid_of(job))
          job.state.stages.each_key do |stage|
            job.public_send(CylinderWork::WORK.fetch(stage)) unless %w[ask choose].include?(stage)
          end
          expect(job.state).to be_signed
          expect(job.state.fit.washers.stacks.map(&:at)).to eq opened.select(&:counted).map(&:at)
          tightened = job.state.fit.torques.lines.select { |line| line.fastener["per"] == "joint" }.map(&:id)
          expect(tightened.map { |id| id.split(".", 2).last }).to match_array opened.map(&:at)
          named = job.state.ask.where.at.map(&:label)
          expect(named).to include place.label
        end
      end
    end
  end
end
