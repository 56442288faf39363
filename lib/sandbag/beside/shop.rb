# frozen_string_literal: true

module Sandbag
  # What a shop sets once: display units, how cylinders are ranked, limits that new circuits start with. Stored values
  # stay in the core's units whatever is shown.
  class Shop
    LIMITS = {"effort_hand" => 200.0, "effort_foot" => 350.0, "safe_gap" => 20.0}.freeze
    LIMIT_RULES = {
      "effort_hand" => {"type" => "measure", "dimension" => "force", "above" => 0, "max" => 1500},
      "effort_foot" => {"type" => "measure", "dimension" => "force", "above" => 0, "max" => 1500},
      "safe_gap" => {"type" => "measure", "dimension" => "length", "min" => 0, "max" => 100}
    }.freeze

    # [default]
    HOURLY_RATE_MINOR = 6000
    CURRENCY = "EUR"

    LONGEST_NAME = 120

    # Months between full changes of fluid, within which shops differ. [default] docs/trade.md 10
    FLUID_MONTHS = 24
    FLUID_MONTHS_RULE = {"type" => "measure", "dimension" => "number", "min" => 12, "max" => 24}.freeze

    attr_reader :name, :units, :school, :limits, :fluid_months, :lubricant, :schools, :hourly_rate_minor, :currency,
      :prices, :people

    # @param plain [Hash] name, units, school, band, limits, fluid interval, lubricant, schools of bleeding, currency,
    #   hourly rate, prices, people; what is missing stands at its default
    # Refuses, by field path, units that are not offered, unknown schools and lubricants, an empty band, limits
    # out of range, and what Job::People refuses.
    def initialize(plain = {})
      @name = read_name(plain["name"] || "")
      @units =
        Units::SHOWN
          .to_h { |dimension, offered| [dimension, read_unit(dimension, offered, plain.dig("units", dimension))] }
          .freeze
      @school = Choose::School.new(id: plain["school"] || Choose::School::IDS.first, band: read_band(plain["band"]))
      @limits = LIMITS.to_h { |name, default| [name, read_limit(name, plain.dig("limits", name) || default)] }.freeze
      @fluid_months = read_fluid_months(plain["fluid_months"] || FLUID_MONTHS)
      @lubricant = read_lubricant(plain["lubricant"] || Fluid::Lubricants::USUAL)
      @schools = Airway::Schools.followed(read_schools(plain["schools"] || {})).freeze
      @currency = read_currency(plain["currency"] || CURRENCY)
      @hourly_rate_minor =
        Refusal.within("hourly_rate_minor") { Money.parse(plain["hourly_rate_minor"] || HOURLY_RATE_MINOR) }
      @prices =
        Tables.rows("prices").to_h { |row| [row["id"], read_price(row, plain.dig("prices", row["id"]))] }.freeze
      @people = Refusal.within("people") { Job::People.new(plain["people"] || []) }
      freeze
    end

    def to_h
      {
        "name" => name,
        "units" => units,
        "school" => school.id,
        "band" => school.band,
        "limits" => limits,
        "fluid_months" => fluid_months,
        "lubricant" => lubricant,
        "schools" => schools,
        "currency" => currency,
        "hourly_rate_minor" => hourly_rate_minor,
        "prices" => prices,
        "people" => people.list
      }
    end

    # @return [Hash] dimension => unit, factor from the core's unit, extra decimals
    def display
      followed = units.merge("metres" => (units["length"] == "in") ? "in" : "m")
      followed.to_h do |dimension, unit|
        [
          dimension,
          {
            unit: unit,
            factor: Units.convert(1, dimension.to_sym, unit),
            extra_decimals: Units::SHOWN.dig(dimension, unit) || 0
          }
        ]
      end
    end

    # A new circuit with the shop's own limits written in.
    # @return [Circuit::Sheet]
    def limit(sheet)
      limited = sheet.set("target", "effort_limit", limits["effort_#{sheet.kind.control["limb"]}"], "shop_setting")
      sheet.kind.foot? ? limited : limited.set("lever", "safe_gap", limits["safe_gap"], "shop_setting")
    end

    private

    def read_name(text)
      return text.strip if text.length <= LONGEST_NAME
      raise Refusal.at("name", "the shop's name is too long", "up to #{LONGEST_NAME} characters")
    end

    def read_unit(dimension, offered, unit)
      return offered.keys.first if unit.nil?
      return unit if offered.key?(unit)
      raise Refusal.at("units/#{dimension}", "#{dimension} is not shown in #{unit}", offered.keys.join(", "))
    end

    def read_band(band)
      return Choose::School::DEFAULT_BAND if band.nil?
      rule = {"type" => "measure", "dimension" => "number", "min" => 0, "max" => 1000}
      band.each_with_index.map do |edge, index|
        Refusal.within("band/#{index}") { QuantityReader.new(rule, "the band").read(edge) }
      end
    end

    def read_fluid_months(typed)
      Refusal.within("fluid_months") do
        QuantityReader.new(FLUID_MONTHS_RULE, "the interval").read(typed).round
      end
    end

    def read_lubricant(id)
      offered = Fluid::Lubricants.wetting.map { |row| row["id"] }
      return id if offered.include?(id)
      raise Refusal.at("lubricant", "#{Wording.quoted(id)} does not go on cups", offered.join(", "))
    end

    def read_schools(given)
      Refusal.within("schools") { Airway::Schools.read(given) }
    end

    def read_currency(text)
      return text if text.match?(/\A[A-Z]{3}\z/)
      raise Refusal.at("currency", "#{Wording.quoted(text)} is not a currency", "three letters, such as EUR")
    end

    def read_price(row, typed)
      Refusal.within("prices/#{row["id"]}") { Money.parse(typed || row["minor"]) }
    end

    def read_limit(name, typed)
      Refusal.within("limits/#{name}") do
        QuantityReader.new(LIMIT_RULES.fetch(name), name.tr("_", " ")).read(typed)
      end
    end
  end
end
