# frozen_string_literal: true

module App
  # What a sizing was asked, as it came over the wire, turned into what the core takes.
  class SizingRequest
    # Changes of all candidates together: a comparison of what-ifs has a handful each.
    MOST_CHANGES = 1_000
    FIELDS = {"bore" => "master", "push_offset" => "lever"}.freeze

    # @param sheet [Sandbag::Circuit::Sheet]
    # @param body [Hash] candidates, cylinders, school, band
    # Refuses more changes than MOST_CHANGES.
    def initialize(sheet, body)
      @sheet = sheet
      @body = body
      refuse_too_many
      @circuit = Sandbag::Circuit::Assembly.build(sheet)
    end

    # @return [Sandbag::Choose::Sizing]
    def sizing
      Sandbag::Choose::Sizing.new(@sheet, sizes: sizes, options: options, school: school)
    end

    # @return [Array<Sandbag::Choose::Option>]
    def options
      (@body["candidates"] || []).each_with_index.map do |candidate, index|
        Sandbag::Refusal.within("candidates/#{index}") { option(candidate) }
      end
    end

    private

    def refuse_too_many
      changes = (@body["candidates"] || []).sum { |candidate| (candidate["changes"] || []).size }
      return if changes <= MOST_CHANGES
      raise Sandbag::Refusal.at("candidates", "#{changes} changes are too many for one comparison",
        "up to #{MOST_CHANGES}")
    end

    # Plain cylinders; the usual ones when nothing else was asked for.
    def sizes
      case @body["cylinders"] || (@body["candidates"] ? "none" : "usual")
      when "all" then Sandbag::Choose::Sizing.grid(@sheet.kind)
      when "usual" then Sandbag::Choose::Sizing.usual(@sheet.kind)
      else []
      end
    end

    def school
      Sandbag::Choose::School.new(**{id: @body["school"], band: @body["band"]}.compact)
    end

    def option(candidate)
      changes = (candidate["changes"] || []).map { |change| change.values_at("part", "field", "value") }
      size = fields.to_h { |name, field| [:"#{name}_mm", candidate[name] && read(name, field, candidate[name])] }
      Sandbag::Choose::Option.new(
        @sheet,
        circuit: @circuit,
        changes: changes,
        label: candidate["label"],
        key: candidate["key"],
        **size
      )
    end

    def fields
      @fields ||= FIELDS.to_h do |name, part|
        [name, Sandbag::Circuit::PartFields.of(part, @sheet.kind.id).fetch(name)]
      end
    end

    def read(name, field, typed)
      Sandbag::Refusal.within(name) { field.read(typed) }
    end
  end
end
