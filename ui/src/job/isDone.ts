import type { Job, Stage } from "../app/api";

export function isDone(job: Job, stage: Stage): boolean {
  return job.stages.find((each) => each.id === stage)?.status === "done";
}
