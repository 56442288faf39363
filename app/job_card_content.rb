# frozen_string_literal: true

module App
  # Everything a job card says, as plain data: worked out while the job is open, kept as it is when it is signed.
  class JobCardContent
    # @param job [Hash]; circuit [Hash]; machine [Hash] rows of the store
    # @param state [Sandbag::Job::State]
    # @param stock [Sandbag::Shelf::Stock] for the names of what was pulled
    # @param shop_name [String] printed over the card; empty prints nothing
    def initialize(job, circuit, machine, state, stock, shop_name)
      @job = job
      @circuit = circuit
      @machine = machine
      @state = state
      @stock = stock
      @shop_name = shop_name
    end

    # @return [Hash] shop, title, standing, opened, sections [[title, rows]], photos [what, photo], summary, by string
    #   keys
    def to_h
      {
        "shop" => @shop_name,
        "title" => "#{@machine[:name]}: #{@circuit[:name]}",
        "standing" => standing,
        "job" => @job[:id],
        "opened_at" => @job[:opened_at],
        "sections" => JobCardSections.of(@state, @stock),
        "photos" => JobPhotos.of(@state.journal).map { |photo| photo.slice(:what, :photo).transform_keys(&:to_s) },
        "summary" => summary
      }
    end

    private

    def standing
      return "Open: waits for #{@state.waits_for}. Do not use." unless @state.signed?
      signature = @state.close.signature
      "Signed off by #{signature.data["name"]}, #{signature.at.to_s[0, 16].tr("T", " ")}"
    end

    # What the next job on the circuit wants to know of this one.
    def summary
      fluid = @state.choose.fluid && Sandbag::Knowledge.find("fluids", @state.choose.fluid)["label"]
      verdict = (@state.feel.lift || @state.feel.report.verdict)&.to_h
      {
        "route" => @state.route&.label,
        "complaint" => @state.ask.complaint,
        "fluid" => fluid,
        "lever" => verdict && verdict[:why]
      }.compact
    end
  end
end
