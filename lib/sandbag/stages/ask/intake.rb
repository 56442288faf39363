# frozen_string_literal: true

module Sandbag
  module Ask
    # The questions before anything else (docs/trade.md 1.1): what the record knows is filled in and only confirmed.
    class Intake
      # @param answers [Hash{String => String}] question => value as the mechanic entered it
      # @param sheet [Circuit::Sheet]; machine_kind [String, nil] of machine_kinds.yml, where it is known
      # @param today [Date, nil] the day of the job's newest entry; others [Job::OtherCircuits] of the same machine
      def initialize(answers, sheet, machine_kind = nil, today: nil, others: Job::OtherCircuits.new)
        @answers = answers.freeze
        @ages = RecordedAge.new(sheet, today)
        @sheet = sheet
        @machine_kind = machine_kind
        @today = today
        @others = others
        @questions = concerning_this_circuit.freeze
        @unanswered = @questions.select { |row| row["stops"] && value(row["id"]).nil? }.freeze
        freeze
      end

      # @attr questions [Array<Hash>] those that concern this circuit, those that can stop the job first; unanswered
      #   [Array<Hash>] those of them that can stop the job and that neither the mechanic nor the record has answered
      attr_reader :questions, :unanswered

      # @return [Array<Hash>] questions that the mechanic has not answered; the record may know what is confirmed
      def unconfirmed
        questions.reject { |row| answered?(row["id"]) }
      end

      # @return [String, nil] what was answered, else what somebody entered in the record; a default is not knowledge
      def value(id)
        @answers.fetch(id) { recorded(Tables.find("intake", id)) }
      end

      # @return [Array<String, nil>] see value
      def values_at(*ids)
        ids.map { |id| value(id) }
      end

      # @return [String, nil] the ABS of this circuit, by whoever said it: the mechanic, else the record. Where the two
      #   contradict one another it is taken as fitted.
      def abs
        return if @sheet.clutch?
        return "fitted" if contradicted?
        value("abs") || @sheet.value("vehicle", "abs")
      end

      # The mechanic and the machine's record say different things about ABS.
      def contradicted?
        row = Tables.find("intake", "abs")
        said = [@answers["abs"], on_this_circuit(row)] - [nil, "unknown"]
        !@sheet.clutch? && said.uniq.size > 1
      end

      # @return [Array<Array(String, String)>] findings that answers amount to
      def findings
        read("finds")
      end

      # @return [Array<String>] what answers bring up
      def offers
        read("offers")
      end

      # @return [Array<String>] answers that the machine's record contradicts, by its days or by its other circuits
      def against_record
        questions.filter_map do |row|
          @ages.against(row, @answers[row["id"]]) || against_others(row) || against_control(row)
        end
      end

      # @return [Hash, nil] label of what was asked for, and the routes that are it
      def request
        row = Tables.find("intake", "job_request")
        routes = row["asks_for"][@answers["job_request"]]
        routes && {label: row["values"][@answers["job_request"]], routes: routes}
      end

      def answered?(id)
        @answers.key?(id)
      end

      # What flags and gates read: answers, and what the record says of questions that can stop the job. A tool that
      # nobody has said is there is not there.
      # @return [Hash{String => String}]
      def facts
        known = questions.select { |row| row["stops"] }.to_h { |row| [row["id"], value(row["id"])] }.compact
        facts = @answers.merge(known)
        return facts if @sheet.clutch?
        {
          "abs_tool" => Conditions::NOT_LOOKED,
          **facts,
          "abs" => abs,
          **(contradicted? ? {"abs_stated" => "contradicted"} : {})
        }
      end

      # @return [Array<Hash>] id, ask, values, value, confirmed; answered ones last
      def to_h
        questions.map do |row|
          {
            id: row["id"],
            ask: row["ask"],
            values: row["values"],
            value: value(row["id"]),
            confirmed: answered?(row["id"]),
            stops: row["stops"] || false
          }.compact
        end
      end

      private

      def concerning_this_circuit
        side = @sheet.clutch? ? "c" : "b"
        Tables.rows("intake").select { |row| ["a", side].include?(row["for"]) && of_kind?(row) && asked?(row) }
      end

      def of_kind?(row)
        @machine_kind.nil? || row["machines"].nil? || row["machines"].include?(@machine_kind)
      end

      def asked?(row)
        (row["when"] || {}).all? { |key, values| values.include?((key == "abs") ? abs : value(key)) }
      end

      def read(column)
        questions.filter_map { |row| row.dig(column, @answers[row["id"]]) }
      end

      def recorded(row)
        return @ages.answer(row) if row["dated"]
        on_this_circuit(row) || (derived(row["derived"]) if row["derived"])
      end

      def on_this_circuit(row)
        return unless row["record"]
        part, field = row["record"].split(".")
        entry = @sheet.values(@sheet.parts_of(part).first).fetch(field)
        entry.value unless entry.source == Circuit::Source::DEFAULT || !row["values"].key?(entry.value)
      end

      def derived(what)
        case what
        when "sole_brake" then sole_brake
        when "abs_elsewhere" then @others.abs? ? "fitted" : nil
        when "other_brake" then (@today && @others.due(@today).any?) ? "due" : nil
        end
      end

      def sole_brake
        return "no" if @others.brakes.any?
        @sheet.kind.sole? ? "yes" : nil
      end

      # @return [String, nil] that the record has another control on this circuit
      def against_control(row)
        limb = row.dig("limbs", @answers[row["id"]])
        return if limb.nil? || limb == @sheet.kind.control["limb"]
        "#{row["ask"]} The record has a #{@sheet.kind.control["noun"]}, you say " \
          "“#{Wording.inside(row["values"][@answers[row["id"]]])}”. Correct the one that is wrong."
      end

      # @return [String, nil] that the machine's record has a brake which the answer says is not there
      def against_others(row)
        return unless row["one_brake"] && row["one_brake"] == @answers[row["id"]] && @others.brakes.any?
        "#{row["ask"]} The record has another brake on this machine: " \
          "#{@others.brakes.map(&:name).join(", ")}. Correct the one that is wrong."
      end
    end
  end
end
