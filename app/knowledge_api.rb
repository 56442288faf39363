# frozen_string_literal: true

module App
  # /api/knowledge and /api/openapi.json: tables the page words itself by, and the contract itself.
  class KnowledgeApi < Base
    get "/knowledge" do
      json 200,
        {
          findings: Sandbag::Knowledge.table("findings"),
          routes: Sandbag::Knowledge.table("routes"),
          fluids:
            Sandbag::Knowledge
              .table("fluids")
              .map { |row|
                {**row, "takes" => Sandbag::Choose::FluidChoice.allowed(row["id"]).map { |fluid| fluid["id"] }}
              },
          colours: Sandbag::Knowledge.table("fluid_colours"),
          machine_kinds: Sandbag::Knowledge.table("machine_kinds"),
          machine_uses: Sandbag::Knowledge.table("machine_uses"),
          ratio_bands: Sandbag::Knowledge.table("ratio_bands"),
          templates:
            Sandbag::Knowledge.table("circuit_templates").map { |row| row.slice("id", "label", "kind", "note") },
          waits: Sandbag::Knowledge.table("waits"),
          prices: Sandbag::Knowledge.table("prices"),
          **%w[seals lubricants compatibility_words kit_items shelf_kinds tools].to_h { |table|
            [table.to_sym, Sandbag::Knowledge.table(table)]
          },
          shelf_fields: Sandbag::Knowledge.table("shelf_fields").map { |row| {"optional" => false, **row} },
          constructions:
            Sandbag::Strip::Construction.all.map { |construction|
              {id: construction.id, label: construction.label}
            },
          red_flags: Sandbag::Knowledge.table("red_flags"),
          cautions: Sandbag::Knowledge.table("cautions")
        }
    end

    get "/openapi.json" do
      json 200, contract.document
    end
  end
end
