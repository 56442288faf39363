# frozen_string_literal: true

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
      json 200, ArchiveImport.new(store, memory, contract, today).take(document)
    end

    helpers do
      def send_archive(name, **more)
        content_type "application/json"
        headers "content-disposition" => "attachment; filename=\"#{name}\""
        store.archive.pieces(**more)
      end
    end
  end
end
