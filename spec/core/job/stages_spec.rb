# frozen_string_literal: true

# What a job relies on, of every stage alike: on every kind of circuit and every route, from the first entry on.
RSpec.describe Sandbag::Job::Stage do
  # A job of each kind of circuit at each route; and one bled, to have stages that are done.
  def self.jobs
    sheets =
      Sandbag::Tables
        .rows("circuit_templates")
        .uniq { |template| template["kind"] }
        .map { |template| Sandbag::Circuit::Template.sheet(template["id"]) }
    routes = [nil, *Sandbag::Tables.rows("routes").map { |route| route["id"] }]
    sheets.product(routes).to_h do |sheet, route|
      job = JobInMemory.new(sheet)
      begin
        job.add("ask", "route", {"route" => route}) if route
      rescue Sandbag::Refusal
        next [nil, nil]
      end
      ["#{sheet.kind.id}, #{route || "no route yet"}", job]
    end.compact.reject { |name, _| name.nil? }
  end

  all = jobs

  Sandbag::STAGES.select { |id| described_class.of(id) }.each do |id|
    describe id do
      let(:jobs) { all }

      all.each do |name, job|
        next unless job.state.stages.key?(id)

        it "keeps to the contract on a #{name}" do
          stage = job.state.stage(id)
          expect(stage).to be_a(described_class)
          expect(stage.id).to eq id
          expect(stage.done?).to be(true).or be(false)
          expect([stage.done?, stage.waits_for.nil?]).to eq([true, true]).or eq([false, false])
          expect(stage.waits_for.to_s).not_to match(/\b[RC]\d\d\b|_/)
          expect(stage.unresolved).to be_nil.or be_a(String)
          expect(stage.view).to include(cautions: all(be_a(String).or(be_a(Hash))), recent: be_an(Array))
          expect(JSON.parse(JSON.generate(stage.view))).to be_a(Hash)
        end
      end

      it "shows the same twice, and from a journal read afresh" do
        job = jobs.values.find { |each| each.state.stages.key?(id) }
        again = Sandbag::Job::State.new(Sandbag::Job::Journal.new(job.entries), job.fitted)
        expect(again.stage(id).view).to eq job.state.stage(id).view
        expect(job.state.stage(id).view).to eq job.state.stage(id).view
      end

      it "takes no entry of a kind that its table does not have" do
        job = JobInMemory.new(sheet(twin_disc_plain), careful: false)
        expect { job.add(id, "made_up") }.to raise_error(Sandbag::Refusal)
        expect(job.entries).to be_empty
      end
    end
  end
end
