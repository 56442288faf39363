import { Link } from "react-router";
import type { Job } from "../../app/api";
import { Split } from "../../kit/layout";
import { Cautions } from "../Cautions";
import { FluidPanel } from "./FluidPanel";
import { SizingPanel } from "./SizingPanel";

export function ChooseStage({ job }: { job: Job }) {
  return (
    <>
      <Split $left="1.9fr">
        <SizingPanel job={job} />
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
