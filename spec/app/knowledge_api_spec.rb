# frozen_string_literal: true

RSpec.describe App::KnowledgeApi, :api do
  it "gives the page its words, and with each class of fluid what may go in where it is stamped" do
    knowledge = ask(:get, "/knowledge")
    takes = knowledge["fluids"].to_h { |fluid| fluid.values_at("id", "takes") }
    expect(takes["dot4"]).to eq %w[dot4 iso6 dot51 iso7]
    expect(takes["dot51"]).not_to include("dot3", "dot4", "dot5")
    expect(takes["mineral"]).to eq ["mineral"]
    expect(takes).to all(satisfy { |id, taken| taken.include?(id) })
    expect(knowledge["constructions"].size).to eq Sandbag::Cylinder::Construction.all.size
  end

  it "gives the contract itself" do
    expect(ask(:get, "/openapi.json")).to include("openapi" => "3.1.0")
  end

  {"no such path" => "/nothing/here", "a path that only looks like one" => "/jobs/a/entries/b/c"}.each do |what, path|
    it "answers #{what} with a problem, never a page" do
      answer = ask(:get, path)
      expect(last_response.status).to eq 404
      expect(last_response.headers["content-type"]).to start_with "application/problem+json"
      expect(answer["title"] || answer["detail"]).not_to be_empty
    end
  end

  it "says that something broke, without its entrails, when something does" do
    ask(:get, "/knowledge")
    allow(Sandbag::Tables).to receive(:rows).and_raise(NoMethodError, "undefined method for nil")
    expect { get "/api/knowledge" }.to output(/NoMethodError/).to_stderr
    expect(last_response.status).to eq 500
    expect(last_response.body).to include("nothing was stored")
    expect(last_response.body).not_to match(/NoMethodError|undefined|\.rb/)
  end
end
