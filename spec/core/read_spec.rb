# frozen_string_literal: true

require_relative "../support/names_used"

# What stands in the tables is read, and what the code offers is called.
RSpec.describe "Nothing idle:" do
  let(:ruby) { Dir["#{ROOT}/{lib,app}/**/*.rb"].reject { |path| path.end_with?("/schemas.rb") } }
  let(:code) { ruby.map { |path| File.read(path) }.join("\n") }
  let(:page) {
    Dir["#{ROOT}/ui/src/**/*.{ts,tsx}"].grep_v(/contract\.d\.ts|\.test\./).map { |path|
      File.read(path)
    }.join
  }

  # Columns whose name is put together from a value: prior_brake from the side, the matrix from its causes.
  made = %w[causes.prior_brake causes.prior_clutch]

  it "every column of a table is read by the core, the app or the page" do
    idle = Sandbag::Tables.schemas.flat_map do |table, schema|
      columns = schema.columns.keys.map { |column| column.delete_suffix("?") } - Sandbag::Ask::Schemas::CAUSES
      columns.reject { |column| code.match?(/["':]#{column}\b|%w\[[^\]]*\b#{column}\b|\b#{column}:/) }
        .reject { |column| page.match?(/\.#{column}\b/) }.map { |column| "#{table}.#{column}" }
    end
    expect(idle - made).to be_empty
  end

  it "every row that is only looked up by its id is named somewhere" do
    texts = Dir["#{ROOT}/lib/sandbag/knowledge/**/*.yml"].to_h { |path| [File.basename(path, ".yml"), File.read(path)] }
    walked = %w[fit_steps fit_checks] # Fit::Scope#rows
    idle = (Sandbag::Tables.names - walked).reject { |table| code.match?(/Tables\s*\.rows\("#{table}"\)/) }
      .flat_map { |table| Sandbag::Tables.ids(table).map { |id| [table, id] } }
      .reject do |table, id|
        word = /(?<![\w.])#{Regexp.escape(id)}(?:\.value\}|(?![\w.]))/
        code.match?(/["' \[]#{Regexp.escape(id)}["' \]]/) ||
          texts.any? { |name, text| text.scan(word).size > ((name == table) ? 1 : 0) }
      end
    expect(idle.map { |each| each.join(": ") }).to be_empty
  end

  it "every row for some circuits is for one of those there are" do
    idle = Sandbag::Tables.names.flat_map { |table| Sandbag::Tables.rows(table).map { |row| [table, row] } }
      .select { |_, row| row["needs"].is_a?(Array) || row["lacks"].is_a?(Array) }
      .reject { |_, row| Sandbag::Circuit::Kind.all.any? { |kind| kind.suits?(row) } }
    expect(idle.map { |table, row| "#{table}: #{row["id"]}" }).to be_empty
  end

  # Called by Ruby, by a library, or by a name that is put together: try_<finding>, do_<action>, <state>?.
  by_others = /\A(initialize|to_s|==|visit_|try_|do_)/

  it "every method is called by something that is no spec" do
    named = NamesUsed.new
    Dir["#{ROOT}/{lib,app,store,demo,bench,docs}/**/*.rb"].each { |path| Prism.parse_file(path).value.accept(named) }
    states = Sandbag::Tables.rows("expected_feel").map { |row| "#{row["when"]}?" }
    idle = named.defined.uniq - named.called - states
    expect(idle.reject { |name| name.match?(by_others) || named.called.include?(name.delete_suffix("=")) }).to be_empty
  end
end
