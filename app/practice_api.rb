# frozen_string_literal: true

module App
  # /api/practice: lessons on simulated circuits. The page sends what hands do and draws what comes back.
  class PracticeApi < Base
    # @attr lesson [Sandbag::Rig::Lesson]; rig [Sandbag::Rig::Simulation]
    Run = Struct.new(:lesson, :rig)

    RUNS = InMemory.new(30, "practice run")

    MYSTERIES = InMemory.new(100, "mystery lever")

    get "/lessons" do
      json 200, {items: Sandbag::Rig::Lesson.all.map(&:to_h)}
    end

    post "/runs" do
      body = body_for("startPractice")
      lesson = Sandbag::Rig::Lesson.find(body["lesson"]) || raise(Store::Missing.new("lesson", body["lesson"]))
      run = RUNS.keep(body["id"], Run.new(lesson, lesson.start))
      json 201, {id: body["id"], lesson: lesson.to_h, **PracticeView.new(run.rig).to_h}
    end

    post "/runs/:id/actions" do |id|
      actions = body_for("practise")["actions"]
      frames = RUNS.work(id) do |run|
        worked = run.rig.snapshot
        done = actions.each_with_index.map do |action, place|
          Sandbag::Refusal.within("actions/#{place}") { worked.act(action).frame }
        end
        run.rig = worked
        done
      end
      json 200, {frames: frames}
    end

    get "/runs/:id/result" do |id|
      json 200, RUNS.work(id) { |run| run.lesson.result(run.rig) }
    end

    post "/mysteries" do
      id = body_for("startMystery")["id"]
      json 201, MysteryView.new(id, MYSTERIES.keep(id, MysterySearch.new(id))).to_h
    end

    post "/mysteries/:id/tests" do |id|
      finding = body_for("tryMystery")["finding"]
      json 200, MYSTERIES.work(id) { |search| MysteryView.new(id, search.try(finding)).to_h }
    end

    post "/mysteries/:id/answers" do |id|
      named = body_for("nameMystery")["cause"]
      hidden = Sandbag::Knowledge.find("causes", MYSTERIES.work(id) { |search| search.mystery.cause })
      json 200, {right: named == hidden["id"], cause: hidden.slice("id", "label"), route:
        Sandbag::Job::Route.find(hidden["routes"].first).label}
    end
  end
end
