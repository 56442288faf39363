import type { Job, Stage } from "../server/api";

export function isDone(job: Job, stage: Stage): boolean {
  return job.stages.find((each) => each.id === stage)?.status === "done";
}
