# frozen_string_literal: true

require "rack"
require "rack/protection"

module App
  # The whole application as one Rack app over one store.
  module Server
    HOSTS = %w[localhost 127.0.0.1 [::1]].freeze

    # @param log [Logger, nil] see RequestLog
    def self.build(store, clock: -> { Time.now }, log: nil)
      Sandbag::Tables.load_all
      memory = Memory.new
      JobDesk.new(store, memory, clock.call.to_date).record_signed
      LeverFile.new(store).rank_unranked
      DueBook.new(store, memory.shop(store), clock.call.to_date).write_all
      parts = {store: store, memory: memory, contract: Contract.load, clock: clock}
      Rack::Builder.app do
        use SecurityHeaders
        use Compressed
        use RequestLog, log
        use Rack::Protection::HostAuthorization,
          permitted_hosts: HOSTS,
          message: "This host is not served here.\n",
          logging: false
        use ReadableRequest
        use BodyLimit
        use SameSite
        use Crowd
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
