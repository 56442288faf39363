import { Link } from "react-router";
import type { Job } from "../../app/api";
import { Split } from "../../kit/layout";
import { Sizer } from "../../sizer/Sizer";
import { Cautions } from "../Cautions";
import { useEntries } from "../useEntries";
import { FluidPanel } from "./FluidPanel";

export function ChooseStage({ job }: { job: Job }) {
  const { add } = useEntries(job, "choose");
  const isOpen = !job.signed && !job.stop;
  const take = (bore: number, pushOffset: number, agreed: string | undefined) =>
    add("cylinder", { bore, push_offset: pushOffset, ...(agreed ? { agreed } : {}) });
  return (
    <>
      <Split $left="1.9fr">
        <Sizer
          key={job.circuit.id}
          start={{ sheet: job.fitted }}
          circuitId={job.circuit.id}
          jobId={job.id}
          taken={job.choose?.cylinder}
          {...(isOpen ? { onTake: take } : {})}
        />
        <FluidPanel job={job} />
      </Split>
      {job.stages.find((stage) => stage.id === "choose")?.status === "done" ? (
        <p>
          <Link to={`/jobs/${job.id}/bleed`}>Go on to Bleed</Link>
        </p>
      ) : null}
      <Cautions stage="choose" />
    </>
  );
}
