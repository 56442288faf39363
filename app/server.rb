# frozen_string_literal: true

require "ipaddr"
require "rack"
require "rack/protection"

module App
  # The whole application as one Rack app over one store.
  module Server
    # Answers worth compressing; the page's own files are compressed when it is built.
    COMPRESSED = %w[application/json application/problem+json text/csv].freeze
    # Bytes under which it saves nothing worth the time.
    SMALL = 1_400
    HOSTS = ["localhost", IPAddr.new("127.0.0.1"), IPAddr.new("::1")].freeze

    def self.compress?(headers)
      !headers.key?("content-encoding") && headers.fetch("content-length", SMALL).to_i >= SMALL
    end

    def self.build(store, clock: -> { Time.now })
      Sandbag::Knowledge.load_all
      memory = Memory.new
      JobDesk.new(store, memory, clock.call.to_date).record_signed
      LeverFile.new(store).rank_unranked
      DueBook.new(store, memory.shop(store), clock.call.to_date).write_all
      parts = {store: store, memory: memory, contract: Contract.load, clock: clock}
      Rack::Builder.app do
        use SecurityHeaders
        use Rack::Deflater, include: COMPRESSED, if: ->(_, _, headers, _) { Server.compress?(headers) }
        use Rack::Protection::HostAuthorization,
          permitted_hosts: HOSTS,
          message: "This host is not served here.\n",
          logging: false
        use PlainTextAddress
        use BodyLimit
        use SameSite
        map("/api/machines") { run MachinesApi.new(**parts) }
        map("/api/circuits") { run CircuitsApi.new(**parts) }
        map("/api/practice") { run PracticeApi.new(**parts) }
        map("/api/archive") { run ArchiveApi.new(**parts) }
        map("/api/plans") { run PlansApi.new(**parts) }
        map("/api/due") { run DueApi.new(**parts) }
        map("/api/levers") { run LeversApi.new(**parts) }
        map("/api/jobs") { run JobsApi.new(**parts) }
        map("/api/shelf") { run ShelfApi.new(**parts) }
        map("/api/shop") { run ShopApi.new(**parts) }
        map("/api/comparisons") { run ComparisonsApi.new(**parts) }
        map("/api/photos") { run PhotosApi.new(**parts) }
        map("/api/compute") { run ComputeApi.new(**parts) }
        map("/api") { run KnowledgeApi.new(**parts) }
        run Page.new
      end
    end
  end
end
