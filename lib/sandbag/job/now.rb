# frozen_string_literal: true

module Sandbag
  module Job
    # What can be done now in a stage, in one shape for all of them: cards, the first of them first. The page draws a
    # card and sends the entry that it holds; which card there is, and in which order, is said here. Each stage has a
    # class `Now` of its own that finds its cards.
    class Now
      # question: one of a few answers; step: one act, or several of the same kind at once; reading: something typed;
      # round: several looks at one place; go: another stage is next; here: it takes more than one answer, in its panel
      # on the stage's page.
      KINDS = %w[question step reading round go here].freeze

      # @param stage [Stage]
      def initialize(stage)
        @stage = stage
        @job = stage.job
        freeze
      end

      # @return [Array<Hash>] kind; id; title: what to do; detail: how; caution; figure: what is read from two metres;
      #   act (label and entry), answers (each label, entry and, where one follows, the following entry), field (name,
      #   label, unit, words, entry, and also: further entries that take what is typed) or all (label, and looks, each
      #   with label, how and entry); a step with all of its kind has act and all; stage: where another one is next;
      #   room: the part of the page where it takes more than one answer. An entry is kind and data. Empty in a job that
      #   takes no entry now
      def to_a
        return [] if @job.signed? || @job.stop || @job.on_hold?
        return [onward] if @stage.done?
        (@stage.unready ? [elsewhere] : cards).map(&:compact)
      end

      private

      # @return [Array<Hash>] what is open in a stage that is ready and not done
      def cards
        raise NotImplementedError, "#{self.class} finds no cards"
      end

      # @param answers [Array<Array(String, Hash, Hash)>] label, entry, and the entry that follows it, if one does
      def question(id, title, answers, **more)
        {kind: "question", id: id, title: title, **more,
         answers: answers.map { |label, entry, following| {label: label, entry: entry, following: following}.compact }}
      end

      def step(id, title, entry, label: "Done", **more)
        {kind: "step", id: id, title: title, **more, act: {label: label, entry: entry}}
      end

      # @param name [String] field of the entry's data; unit [String, nil]; nil takes words
      def reading(id, title, entry, name:, unit: nil, **more)
        {kind: "reading", id: id, title: title, **more,
         field: {name: name, label: title, unit: unit, words: unit.nil?, entry: entry}.compact}
      end

      # Looks that are answered together once all of them are good; each is a card of its own after it.
      # @param looks [Array<Array(String, String, Hash)>] label, how, and the entry that says it is good
      # @param good [String] what is said of all of them
      # @param detail [String, nil] how, where it is the same for all of them
      # @return [Hash, nil] none for a single look
      def round(id, title, looks, good:, detail: nil)
        return if looks.size < 2
        {kind: "round", id: "round.#{id}", title: title,
         detail: [detail, "Not all of them? Go to each by the arrows."].compact.join(" "),
         all: all("All #{looks.size} #{good}", looks)}
      end

      # @param looks [Array] see #round
      def all(label, looks)
        {label: label, looks: looks.map { |name, how, entry| {label: name, how: how, entry: entry}.compact }}
      end

      # @param steps [Array] still to do, in their order, each with `together` of steps_together.yml, or nil
      # @return [Array] the first, with those after it that are done together with it
      def together(steps)
        group = steps.first.together
        group ? steps.take_while { |each| each.together == group } : steps.first(1)
      end

      # Steps that are done together, on one card; then the card of the first.
      # @param card [Hash] of the first; steps [Array] see #together
      # @yield [Object] each of them
      # @yieldreturn [Array] its look, see #round
      def in_one_go(card, steps, **more)
        return [card] unless steps.size > 1
        row = Tables.find("steps_together", steps.first.together)
        looks = steps.map { |each| yield each }
        [{**round("steps.#{row["id"]}", row["label"], looks, good: "done"), **more}, card]
      end

      # The cards, each group's round before the first card of it that is answered by the round.
      # @param open [Array<Array(String, Hash, Array)>] group, card, and its look (see #round), nil where it is answered
      #   alone
      # @param titles [Hash{String => String}] group => title of its round
      def in_rounds(open, titles, good: "good", **said)
        rounds = titles.to_h do |group, title|
          [group, round(group, title, open.filter_map { |of, _card, look| look if of == group }, good: good, **said)]
        end
        open.flat_map { |group, card, look| [(rounds.delete(group) if look), card] }.compact
      end

      # The cards of one group.
      # @param open [Array<Array(Hash, Array)>] card and its look, as above
      def in_one_round(group, title, open, **said)
        in_rounds(open.map { |card, look| [group, card, look] }, {group => title}, **said)
      end

      # The cards, with a round for each place of the walk round the machine.
      # @param open [Array<Array(String, Hash, Array)>] as above; each group a place of walk_places.yml or one of titles
      # @param titles [Hash{String => String}] of further rounds
      def by_place(open, titles = {})
        in_rounds(open, {**Walk.of(open.map(&:first)).to_h { |place| place.values_at(:id, :label) }, **titles})
      end

      # @param room [String, nil] the part of the stage's page where it is
      def here(id, title, room: nil, **more)
        {kind: "here", id: id, title: title, room: room, **more}
      end

      def go(stage, title)
        {kind: "go", id: "go", title: title, stage: stage}
      end

      def entry(kind, **data)
        {kind: kind, data: data}
      end

      # Yes-and-no rows of a table: an answer each.
      # @param values [Hash{String => String}] value => label
      def each_answer(values, kind, name: :value, **data)
        values.map { |value, label| [label, entry(kind, **data, name => value)] }
      end

      def elsewhere
        stage = @job.stages.values_at(*@stage.class::RESTS_ON).compact.find { |each| !each.enough? }
        go(stage.id, Wording.sentence(stage.waits_for))
      end

      # The first stage that is not done; none after the last.
      def onward
        return {kind: "here", id: "done", title: "Nothing is left to do here."} if @job.current == @stage.id
        go(@job.current, "Go on to #{@job.current.capitalize}")
      end

      # A step, or before it a question for each of its parts that can go in two ways. The right answer of the last one
      # does the step.
      # @param put_back [Cylinder::PutBack]; step [Cylinder::Step]; act [Hash] the card of the step
      # @return [Array<Hash>]
      def facings_or(act, put_back, step)
        wrong = put_back.wrong([step])
        return [act] if wrong.empty?
        return wrong.map { |part| facing(put_back, part) } if wrong.size > 1
        asked = facing(put_back, wrong.first, act[:act][:entry])
        [{**asked, title: act[:title], detail: [asked[:title], act[:detail]].compact.reject(&:empty?).join(" "),
                   caution: asked[:caution] || act[:caution], figure: act[:figure]}]
      end

      # @param following [Hash, nil] entry that follows the right answer
      def facing(put_back, part, following = nil)
        asked = put_back.facings.of(part)
        ways = asked[:options].map do |option|
          [Wording.sentence(option[:label]), entry("facing", part: part.id, faces: option[:id]),
            (following if option[:id] == part.faces)]
        end
        question("facing.#{part.id}", asked[:question], ways, caution: asked[:why])
      end
    end
  end
end
