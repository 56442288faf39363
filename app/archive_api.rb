# frozen_string_literal: true

require "securerandom"

module App
  # /api/archive: everything as one JSON document, or one machine with its history; and taking such a document in.
  class ArchiveApi < Base
    get "/" do
      send_archive("sandbag-shop.json")
    end

    get "/schema.json" do
      json 200, ArchiveFile::SCHEMA
    end

    get "/machines/:id" do |id|
      store.machines.find(id)
      send_archive("sandbag-machine.json", machine_id: id)
    end

    post "/" do
      media = request.media_type
      halt_problem(415, "the body is #{media || "of no kind"}", "application/json") unless media == "application/json"
      document = ArchiveFile.read(text_of_body(BodyLimit::ARCHIVE_BYTES))
      json 200, ArchiveImport.new(store, memory, contract, today).take(document, id: SecureRandom.uuid, at: now)
    end

    get "/imports" do
      json 200, {items: store.imports.newest(IMPORTS).map { |import| import_view(import) }}
    end

    post "/imports/:id/taken-back" do |id|
      view = store.transaction do
        import = store.imports.find(id)
        refuse_resting(store.imports.resting(import))
        levers = LeverFile.new(store)
        store.imports.take_back(import).each { |circuit| levers.rank(circuit) }
        import_view(import.merge(resting: []))
      end
      memory.forget
      json 200, view
    end

    # Imports that are listed, the newest.
    IMPORTS = 20

    helpers do
      def import_view(import)
        {**import.slice(:id, :at), resting: import[:resting] || store.imports.resting(import),
                                   **import[:body].slice("machines", "jobs", "moves").transform_values(&:size)}
      end

      def refuse_resting(resting)
        return if resting.empty?
        raise Sandbag::Refusal.at("id", "something rests on it: #{resting.join("; ")}",
          "an import on which nothing rests")
      end

      def send_archive(name, **more)
        content_type "application/json"
        headers "content-disposition" => "attachment; filename=\"#{name}\""
        store.archive.pieces(**more)
      end
    end
  end
end
