# frozen_string_literal: true

# Comments cite docs/physics.md and docs/trade.md by section; the two name the files that a section is about.
RSpec.describe "Citations" do
  let(:docs) { %w[physics trade].to_h { |name| ["docs/#{name}.md", File.read("#{ROOT}/docs/#{name}.md")] } }
  let(:sources) { Dir["#{ROOT}/{lib,app,store,spec,demo,bench}/**/*.{rb,yml}", "#{ROOT}/ui/src/**/*.{ts,tsx}"] }

  it "lead to a section that is there" do
    cited = sources.flat_map { |path| File.read(path).scan(%r{(docs/(?:physics|trade)\.md) (\d+(?:\.\d+)?)}) }.uniq
    expect(cited.size).to be > 40
    missing =
      cited.reject do |doc, section|
        docs.fetch(doc).match?(/^(## |- \*\*|.*[,d] \*\*|- \*\*.*, )#{Regexp.escape(section)}\b/)
      end
    expect(missing).to be_empty, missing.map { |each| each.join(" ") }.join(", ")
  end

  it "name files that are there" do
    docs.each_value do |text|
      text
        .scan(%r{`([\w/]+\.(?:rb|yml))`})
        .flatten
        .uniq
        .each do |name|
          found = Dir["#{ROOT}/lib/sandbag/**/#{name}", "#{ROOT}/#{name}"]
          expect([name, found.size]).to eq [name, 1]
        end
    end
  end
end
