import { Link } from "react-router";
import type { Job, Stage } from "../server/api";
import { stageNames } from "../words/stages";

/** The way on, once a stage is finished: to the next that is not. */
export function NextStage({ job, stage }: { job: Job; stage: Stage }) {
  const at = job.stages.findIndex((each) => each.id === stage);
  const later = job.stages.slice(at + 1);
  const next = later.find((each) => each.status !== "done") ?? later[0];
  if (job.stages[at]?.status !== "done" || !next) return null;
  return (
    <p>
      <Link to={`/jobs/${job.id}/${next.id}`}>{`Go on to ${stageNames[next.id]}`}</Link>
    </p>
  );
}
