# frozen_string_literal: true

module App
  # Everything a job card says, as plain data: worked out while the job is open, kept as it is when it is signed.
  class JobCardContent
    # @param job [Hash]; circuit [Hash]; machine [Hash] rows of the store
    # @param state [Sandbag::Job::State]
    # @param stock [Sandbag::Shelf::Stock] for the names of what was pulled
    # @param shop [Sandbag::Shop] its name is printed over the card; its unit of length is the curve's
    def initialize(job, circuit, machine, state, stock, shop)
      @job = job
      @circuit = circuit
      @machine = machine
      @state = state
      @stock = stock
      @shop = shop
    end

    # @return [Hash] shop, title, standing, opened, sections [[title, rows]], photos (see #photos), summary and, where
    #   the lever was read, its curve; by string keys
    def to_h
      {
        "shop" => @shop.name,
        "title" => "#{@machine[:name]}: #{@circuit[:name]}",
        "standing" => standing,
        "job" => @job[:id],
        "opened_at" => @job[:opened_at],
        "sections" => JobCardSections.of(@state, @stock),
        "photos" => photos,
        "summary" => summary,
        "curve" => curve
      }.compact
    end

    private

    # @return [Array<Hash>] entry, photo, what, again and marks, see Sandbag::Job::Photos#all
    def photos
      Sandbag::Job::Photos.new(@state.journal).all
        .map { |photo| JSON.parse(JSON.generate(photo.slice(:entry, :photo, :what, :again, :marks))) }
    end

    def standing
      return "Open: waits for #{@state.waits_for}. Do not use." unless @state.signed?
      signature = @state.close.signature
      "Signed off by #{signature.data["name"]}, #{Sandbag::Day.moment(signature.at)}"
    end

    # Every so many points of a curve: enough on paper.
    THINNED = 3

    # @return [Hash, nil] lines and readings by name, each [[force, travel], …], and the control's name
    def curve
      feel = @state.feel
      return if feel.clutch? || feel.report.fit.nil?
      view = feel.view
      lines = {"last_good" => :last_good_curve, "before" => :before_curve, "expected" => :expected, "fitted" => :fitted}
      {
        "noun" => feel.control["noun"],
        "length" => @shop.display["length"].slice(:unit, :factor).transform_keys(&:to_s),
        **lines.transform_values { |name| points(view[name], THINNED) },
        "readings" => points(view[:readings].reject { |reading| reading[:set_aside] }, 1)
      }.compact
    end

    def points(given, every)
      given && given.each_slice(every).map { |slice| slice.first.values_at(:force_n, :travel_mm) } |
        [given.last&.values_at(:force_n, :travel_mm)].compact
    end

    # What the next job on the circuit wants to know of this one.
    def summary
      fluid = @state.choose.fluid && Sandbag::Tables.find("fluids", @state.choose.fluid)["label"]
      verdict = (@state.feel.lift || @state.feel.report.verdict)&.to_h
      {
        "route" => @state.route&.label,
        "complaint" => @state.ask.complaint,
        "fluid" => fluid,
        "lever" => verdict ? verdict[:why] : ("Judged by hand, and passed." if @state.feel.judged_by_hand?)
      }.compact
    end
  end
end
