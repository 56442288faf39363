# frozen_string_literal: true

RSpec.describe App::Contract, :api do
  let(:contract) { Api::CONTRACT }

  it "is valid OpenAPI 3.1 and served as it is" do
    expect(JSONSchemer.openapi(contract.document)).to be_valid
    expect(ask(:get, "/openapi.json")).to eq contract.document
  end

  it "has a route for every operation, and an operation for every route" do
    mounted = {
      "" => App::KnowledgeApi,
      "/machines" => App::MachinesApi,
      "/circuits" => App::CircuitsApi,
      "/jobs" => App::JobsApi,
      "/levers" => App::LeversApi,
      "/due" => App::DueApi,
      "/plans" => App::PlansApi,
      "/practice" => App::PracticeApi,
      "/archive" => App::ArchiveApi,
      "/compute" => App::ComputeApi,
      "/shop" => App::ShopApi,
      "/shelf" => App::ShelfApi,
      "/photos" => App::PhotosApi,
      "/comparisons" => App::ComparisonsApi
    }
    routes =
      mounted.flat_map do |prefix, api|
        %w[GET POST PATCH PUT DELETE].flat_map do |verb|
          (api.routes[verb] || []).map do |pattern, *|
            "#{verb} #{prefix}#{pattern}".sub(%r{/\z}, "").gsub(/:(\w+)/, '{\1}')
          end
        end
      end
    promised = contract.operations.values.map { |operation| "#{operation.method.upcase} #{operation.path}" }
    expect(routes.sort).to eq promised.sort
  end

  it "names the nine stages and the kinds as the core does" do
    schemas = contract.document.dig("components", "schemas")
    expect(schemas.dig("Stage", "enum")).to eq Sandbag::STAGES
    expect(schemas.dig("CircuitKind", "enum")).to match_array(
      Sandbag::Tables.rows("circuit_kinds").map { |row| row["id"] }
    )
    expect(schemas.dig("MachineKind", "enum")).to match_array(
      Sandbag::Tables.rows("machine_kinds").map { |row| row["id"] }
    )
    expect(schemas.dig("PartKind", "enum")).to match_array(
      Sandbag::Tables.rows("circuit_fields").map { |row| row["part"] }.uniq
    )
    expect(schemas.dig("Source", "enum")).to match_array(Sandbag::Circuit::Source::ENTERED)
  end
end
