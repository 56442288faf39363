# frozen_string_literal: true

require "open3"

RSpec.describe "The core" do
  it "loads whole in a fresh process without the web, the store or any gem but the loader" do
    script = <<~RUBY
      require "sandbag"
      Sandbag::LOADER.eager_load
      Sandbag::Tables.load_all
      puts %w[Sinatra Rack Sequel Prawn JSONSchemer App Store].select { |name| Object.const_defined?(name) }.inspect
    RUBY
    gems = [
      Gem.loaded_specs.fetch("zeitwerk").require_path,
      *Gem.loaded_specs.fetch("zeitwerk").full_require_paths
    ].last
    output, status =
      Open3.capture2e(
        {"RUBYOPT" => nil, "BUNDLE_GEMFILE" => nil},
        RbConfig.ruby,
        "-I",
        "#{ROOT}/lib",
        "-I",
        gems,
        "-e",
        script
      )
    expect(status).to be_success, output
    expect(output.strip).to eq "[]"
  end
end
