# frozen_string_literal: true

module App
  # /api/knowledge, /api/lookup and /api/openapi.json: tables the page words itself by, and the contract itself.
  class KnowledgeApi < Base
    get "/knowledge" do
      json 200,
        {
          findings: Sandbag::Tables.rows("findings"),
          routes: Sandbag::Tables.rows("routes"),
          fluids:
            Sandbag::Tables
              .rows("fluids")
              .map { |row|
                {**row, "takes" => Sandbag::Choose::FluidChoice.allowed(row["id"]).map { |fluid| fluid["id"] }}
              },
          colours: Sandbag::Tables.rows("fluid_colours"),
          machine_kinds: Sandbag::Tables.rows("machine_kinds"),
          machine_uses: Sandbag::Tables.rows("machine_uses"),
          ratio_bands: Sandbag::Tables.rows("ratio_bands"),
          templates:
            Sandbag::Tables.rows("circuit_templates").map { |row| row.slice("id", "label", "kind", "note") },
          waits: Sandbag::Tables.rows("waits").reject { |row| row["past"] },
          prices: Sandbag::Tables.rows("prices"),
          **%w[seals lubricants compatibility_words kit_items shelf_kinds tools].to_h { |table|
            [table.to_sym, Sandbag::Tables.rows(table)]
          },
          cleaners: Sandbag::Tables.rows("cleaners"),
          kit_answers: Sandbag::Tables.rows("kit_answers"),
          things: %w[kit_items job_parts].flat_map { |table| Sandbag::Tables.rows(table) }
            .map { |row| row.slice("id", "label") },
          shelf_fields: Sandbag::Tables.rows("shelf_fields").map { |row| {"optional" => false, **row} },
          constructions:
            Sandbag::Cylinder::Construction.all.map { |construction|
              {id: construction.id, label: construction.label}
            },
          red_flags: Sandbag::Tables.rows("red_flags"),
          cautions: Sandbag::Tables.rows("cautions"),
          words: Sandbag::Lookup::Glossary.all,
          photos: {longest_side_px: Photo::LONGEST_SIDE, least_stroke: Sandbag::Job::Photos::LEAST_STROKE}
        }
    end

    # What is looked up without a job; the record of a circuit comes first where one is named. Jobs and things on the
    # shelf with these words as well.
    get "/lookup" do
      asked = query_for("lookUp")
      sheet = asked["circuit"] && CircuitView.sheet(store.circuits.find(asked["circuit"]))
      find = asked["find"].to_s
      json 200, {groups: Sandbag::Lookup::Book.found(find, sheet), **Found.new(store, memory, find).to_h}
    end

    get "/openapi.json" do
      json 200, contract.document
    end
  end
end
