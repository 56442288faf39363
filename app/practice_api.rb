# frozen_string_literal: true

module App
  # /api/practice: lessons on simulated circuits. The page sends what hands do and draws what comes back.
  class PracticeApi < Base
    # @attr lesson [Sandbag::Rig::Lesson]; rig [Sandbag::Rig::Simulation]
    Run = Struct.new(:lesson, :rig)

    # @param runs, mysteries [InMemory] what is practised on
    def initialize(runs: InMemory.new(30, "practice run"), mysteries: InMemory.new(100, "mystery lever"), **rest)
      super(**rest)
      @runs = runs
      @mysteries = mysteries
    end

    attr_reader :runs, :mysteries

    get "/lessons" do
      json 200,
        {
          items: Sandbag::Rig::Lesson.all.map(&:to_h),
          circuits: Sandbag::Tables.rows("circuit_templates").map { |row| row.slice("id", "label") }
        }
    end

    post "/runs" do
      body = body_for("startPractice")
      lesson = lesson_of(body)
      run = runs.keep(body["id"], Run.new(lesson, lesson.start))
      json 201, {id: body["id"], lesson: lesson.to_h, pace: Sandbag::Rig::Pace.to_h, **PracticeView.new(run.rig).to_h}
    end

    post "/runs/:id/actions" do |id|
      actions = body_for("practise")["actions"]
      refuse_long(actions)
      json 200, runs.work(id) { |run| work(run, actions) }
    end

    post "/runs/:id/lever-pulls" do |id|
      turn = body_for("pullPractice")["turn"]
      json 200, runs.work(id) { |run| PracticeReading.new(run.lesson, run.rig, "#{id}/#{turn}").to_h }
    end

    post "/runs/:id/water-readings" do |id|
      turn = body_for("testPracticeWater")["turn"]
      pen = Sandbag::Rig::Instrument.new("moisture_pen", seed: "#{id}/pen/#{turn}")
      json 200, runs.work(id) { |run| pen.read(run.rig.water_percent) }
    end

    get "/runs/:id/hint" do |id|
      json 200, runs.work(id) { |run| {says: Sandbag::Rig::Hint.new(run.lesson, run.rig).says} }
    end

    # Kept by the shop, once a run; without a name nothing is.
    post "/runs/:id/results" do |id|
      body = body_for("keepPracticeResult")
      name = body["name"].strip
      raise Sandbag::Refusal.at("name", "without a name nothing is kept", "a name") if name.empty?
      runs.work(id) do |run|
        results.keep(id, name: name, lesson: run.lesson.id, at: @clock.call, exam: body["exam"] == true,
          figures: run.lesson.result(run.rig))
      end
      json 201, learner(name)
    end

    get "/results" do
      json 200, learner(query_for("listPracticeResults")["name"].to_s)
    end

    get "/sheet.pdf" do
      name = query_for("getLearnerSheet")["name"].to_s
      path = plain(learner(name)[:path])
      pdf "practice", LearnerSheet.new(name: name, path: path, shop_name: shop.name, at: @clock.call).render
    end

    get "/runs/:id/result" do |id|
      json 200, runs.work(id) { |run| run.lesson.result(run.rig) }
    end

    post "/mysteries" do
      body = body_for("startMystery")
      id = body["id"]
      search = mysteries.keep(id, MysterySearch.new(id, template: circuit_of(body)))
      json 201, MysteryView.new(id, search).to_h
    end

    post "/mysteries/:id/tests" do |id|
      finding = body_for("tryMystery")["finding"]
      json 200, mysteries.work(id) { |search| MysteryView.new(id, search.try(finding)).to_h }
    end

    post "/mysteries/:id/answers" do |id|
      named = body_for("nameMystery")["cause"]
      json 200, mysteries.work(id) { |search| MysteryView.new(id, search).truth(named) }
    end

    helpers do
      def refuse_long(actions)
        seconds = actions.sum { |action| action["s"].to_f }
        most = Sandbag::Rig::Pace::PIECE_S
        return if seconds <= most
        raise Sandbag::Refusal.at("actions", "#{format("%g", seconds)} simulated seconds in one request",
          "up to #{most}")
      end

      def results
        PracticeResults.new(store)
      end

      # @return [Hash] what one person has done, and how far that is
      def learner(name)
        items = results.of(name)
        {name: name, items: items, path: Sandbag::Rig::Learner.new(items).path}
      end

      # A lesson; or a circuit, or that of a job, and how it starts.
      def lesson_of(body)
        places = body.values_at("circuit", "job").compact
        if body["lesson"] ? [*places, body["start"]].any? : places.size != 1 || body["start"].nil?
          raise Sandbag::Refusal.at("lesson", "either a lesson, or one circuit or job and how it starts",
            "lesson; or circuit and start; or job and start")
        end
        return Sandbag::Rig::Lesson.free(circuit_of(body), body["start"]) if body["circuit"]
        return job_lesson(body["job"], body["start"]) if body["job"]
        Sandbag::Rig::Lesson.find(body["lesson"]) || raise(Store::Missing.new("lesson", body["lesson"]))
      end

      # The circuit of a job, as the record has it.
      def job_lesson(id, start)
        circuit = store.circuits.find(store.jobs.find(id)[:circuit_id])
        machine = store.machines.find(circuit[:machine_id])
        Sandbag::Rig::Lesson.on(Sandbag::Circuit::Sheet.stored(circuit[:sheet]), "#{id}.#{start}",
          "#{machine[:name]}: #{circuit[:name]}", start)
      end

      # @return [String] id of a template
      def circuit_of(body)
        known = Sandbag::Tables.rows("circuit_templates").map { |row| row["id"] }
        return body["circuit"] if known.include?(body["circuit"])
        raise Sandbag::Refusal.at("circuit", "there is no circuit “#{body["circuit"]}”", known.join(", "))
      end

      # All of the actions, or none of them.
      def work(run, actions)
        worked = run.rig.snapshot
        frames = actions.each_with_index.map do |action, place|
          Sandbag::Refusal.within("actions/#{place}") { worked.act(action).frame }
        end
        laid = worked.placed != run.rig.placed
        slips = slips_since(run.rig, worked)
        run.rig = worked
        {frames: frames, ends: (PracticeView.new(worked).ends if laid), slips: slips}.compact
      end

      # @return [Array<Hash>, nil] slips that were made just now
      def slips_since(before, after)
        fresh = after.events.drop(before.events.size)
        return if fresh.empty?
        fresh.map { |event| Sandbag::Tables.find("practice_slips", event.what).slice("id", "label", "says") }
      end
    end
  end
end
