# frozen_string_literal: true

# A job on a construction, laid out: what stripping and building it starts from.
module Stripped
  def far_end?(construction)
    construction.start_with?("caliper") || construction.include?("slave")
  end

  def circuit_with(construction)
    return far_end_circuit(construction) if far_end?(construction)
    plain = construction.start_with?("bike") ? bicycle_plain : twin_disc_plain
    sheet(plain).change("master", "construction", construction, "measured").change("master", "bore",
      construction.start_with?("bike") ? 10 : 19, "part_marking")
      .change("fluid", "stamped", "dot4", "part_marking")
  end

  def far_end_circuit(construction)
    case construction
    when "caliper_bike"
      changed(bicycle_plain, "caliper", pistons: "22 22")
    when "caliper_opposed"
      changed(twin_disc_plain, "fluid", stamped: "dot4")
    when "caliper_sliding"
      %w[left right].reduce(sheet(twin_disc_plain)) do |now, side|
        now.change("#{side}_caliper", "build", "sliding", "measured").change(
          "#{side}_caliper",
          "pistons",
          "27 27",
          "part_marking"
        )
      end
    else
      changed(clutch_plain, "fluid", stamped: "dot4").change("slave", "bore", 29, "part_marking").change(
        "slave",
        "construction",
        construction,
        "measured"
      )
    end
  end

  def job_on(construction)
    JobInMemory.new(circuit_with(construction)).laid_out(route: far_end?(construction) ? "slave_work" : "reseal_mc")
  end
end
