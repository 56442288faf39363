# frozen_string_literal: true

require "puma/cli"
require_relative "served"

# The same server, forked from this process: what is loaded once serves every example.
class Forked < Served
  private

  def boot
    Zeitwerk::Loader.eager_load_all
    Sandbag::Tables.load_all
    App::Contract.load
    # databases that other examples have open here are closed in the child, which opens its own
    SQLite3::ForkSafety.suppress_warnings!
    fork do
      ENV.update(environment)
      $stdout.reopen("#{@folder}/log", "w")
      $stderr.reopen($stdout)
      Puma::CLI.new(["--config", "#{ROOT}/app/puma.rb", "#{ROOT}/config.ru"]).run
    ensure
      # nothing that this process wants done at its end
      exit!
    end
  end
end
