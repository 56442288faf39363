# frozen_string_literal: true

module App
  # /api/compute: pure sums over what is sent; nothing is read or stored.
  class ComputeApi < Base
    post "/circuits" do
      json 200, Sandbag::Circuit::Summary.new(sheet_of(body_for("computeCircuit"))).to_h
    end

    post "/sizings" do
      body = body_for("computeSizing")
      sizing = SizingRequest.new(sheet_of(body), body).sizing.to_h
      next json(200, sizing) unless request.preferred_type("application/json", "text/csv").to_s == "text/csv"
      content_type "text/csv"
      SizingCsv.of(plain(sizing), shop.display)
    end

    post "/lever-curves" do
      body = body_for("computeLeverCurves")
      json 200, {curves: Sandbag::Choose::LeverCurves.of(SizingRequest.new(sheet_of(body), body).options)}
    end

    post "/explanations" do
      body = body_for("computeExplanation")
      option = SizingRequest.new(sheet_of(body), "candidates" => [body.fetch("candidate", {})]).options.first
      json 200, {items: Sandbag::Choose::Explanation.new(option).items.map(&:to_h)}
    end

    post "/bleed-plans" do
      body = body_for("computeBleedPlan")
      json 200, Sandbag::Airway::Plan.new(sheet_of(body), opened: body.fetch("opened", false)).to_h
    end

    post "/bleed-verdicts" do
      body = body_for("computeBleedVerdicts")
      json 200, Sandbag::Airway::MethodTable.new(sheet_of(body), **BleedSupposed.of(body)).to_h
    end

    post "/lever-fits" do
      body = body_for("computeLeverFit")
      sheet = sheet_of(body)
      circuit = Sandbag::Circuit::Assembly.build(sheet)
      json 200,
        Sandbag::Feel::LeverReport.new(
          sheet,
          circuit,
          readings(body["readings"]).map { |reading| [reading, false] }
        ).to_h
    end

    post "/instrument-readings" do
      body = body_for("computeInstrumentReading")
      rig = Sandbag::Rig::Circuit.new(sheet_of(body), today: today, seed: body["seed"])
      instrument = Sandbag::Rig::Instrument.new(body["instrument"],
        seed: "#{body["seed"]}/#{body["place"]}/#{body["turn"]}")
      json 200, instrument.read(rig.truth(body["instrument"], body["place"]))
    end

    # A file as a gauge wrote it: read whole, or not at all.
    post "/gauge-files" do
      json 200, Sandbag::Feel::GaugeCurve.new(request.body.read(BodyLimit::FILE_BYTES + 1).to_s).to_h
    end

    post "/lever-pulls" do
      body = body_for("computeLeverPull")
      sheet = sheet_of(body)
      seed = body["seed"]
      pull = Sandbag::Rig::LeverPull.new(Sandbag::Rig::Circuit.new(sheet, today: today, seed: seed).running,
        top_n: Sandbag::Rig::LeverGauge.top_n(sheet, Sandbag::Circuit::Assembly.build(sheet)),
        seed: "#{seed}/#{body.fetch("turn", 0)}")
      json 200, {**Sandbag::Feel::GaugeCurve.new(pull.csv).to_h, instrument: Sandbag::Rig::LeverGauge::NAME, simulated: true}
    end

    post "/tool-reports" do
      json 200, Sandbag::Rig::AbsTool.report(body_for("computeToolReport")["seed"])
    end

    helpers do
      def sheet_of(body)
        Sandbag::Refusal.within("sheet") { Sandbag::Circuit::Sheet.new(body["sheet"]) }
      end

      def readings(rows)
        rules = Sandbag::Tables.find("entry_kinds", "feel.reading")["data"]
        readers = %w[force travel].to_h { |name| [name, Sandbag::QuantityReader.new(rules[name], name)] }
        rows.each_with_index.map do |row, index|
          force, travel =
            readers.map do |name, reader|
              Sandbag::Refusal.within("readings/#{index}/#{name}") { reader.read(row[name]) }
            end
          Sandbag::Feel::Reading.new(id: index.to_s, force_n: force, travel_mm: travel)
        end
      end
    end
  end
end
