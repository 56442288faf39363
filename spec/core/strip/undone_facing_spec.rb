# frozen_string_literal: true

RSpec.describe "A facing that is taken back after the build is done" do
  it "opens the build again, shows every stage, and can be given again" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.laid_out.set_up.strip_all.passed
    job.build_all
    expect(job.state.build).to be_done
    cup = job.state.journal.of("build").of("facing").find { |entry| entry.data["part"] == "primary_cup" }
    job.undo("build", cup.id)
    expect(job.state.build).not_to be_done
    expect(job.state.waits_for).to start_with "which way it faces"
    expect { job.told }.not_to raise_error
    job.add("build", "facing", {"part" => "primary_cup", "faces" => "inward"})
    expect(job.state.build).to be_done
  end
end
