# frozen_string_literal: true

module App
  # /api/compute: pure sums over what is sent; nothing is read or stored.
  class ComputeApi < Base
    post "/circuits" do
      json 200, Sandbag::Circuit::Summary.new(sheet_of(body_for("computeCircuit"))).to_h
    end

    post "/sizings" do
      body = body_for("computeSizing")
      sheet = sheet_of(body)
      sizing = body["candidates"] ? Sandbag::Choose::Sizing.new(sheet, sizes: sizes(sheet, body["candidates"])) : Sandbag::Choose::Sizing.new(sheet)
      json 200, sizing.to_h
    end

    post "/bleed-plans" do
      body = body_for("computeBleedPlan")
      json 200, Sandbag::Bleed::Plan.new(sheet_of(body), opened: body.fetch("opened", false)).to_h
    end

    post "/lever-fits" do
      body = body_for("computeLeverFit")
      sheet = sheet_of(body)
      circuit = Sandbag::Circuit::Assembly.build(sheet)
      json 200, Sandbag::Feel::LeverReport.new(sheet, circuit, readings(body["readings"]).map { |reading| [reading, false] }).to_h
    end

    helpers do
      def sheet_of(body)
        Sandbag::Circuit::Sheet.new(body["sheet"])
      rescue Sandbag::Refusal => refusal
        raise refusal.under("sheet")
      end

      def sizes(sheet, candidates)
        fields = {"bore" => "master", "push_offset" => "lever"}.map { |name, part| Sandbag::Circuit::Field.of(part, sheet.kind).find { |field| field.name == name } }
        candidates.each_with_index.map do |candidate, index|
          fields.map { |field| at("candidates/#{index}/#{field.name}") { field.read(candidate[field.name]) } }
        end
      end

      def readings(rows)
        rules = Sandbag::Knowledge.find("entry_kinds", "feel.reading")["data"]
        rows.each_with_index.map do |row, index|
          force, travel = %w[force travel].map do |name|
            at("readings/#{index}/#{name}") { Sandbag::Circuit::QuantityReader.new(rules[name], name).read(row[name]) }
          end
          Sandbag::Feel::Reading.new(id: index.to_s, force_n: force, travel_mm: travel)
        end
      end

      def at(pointer)
        yield
      rescue Sandbag::Refusal => refusal
        raise refusal.under(pointer)
      end
    end
  end
end
