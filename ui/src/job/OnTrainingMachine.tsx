import type { ReactNode } from "react";
import type { Job } from "../server/api";

/** A simulated instrument, on a machine that is made up or kept to learn on: on no other does it prove anything. */
export function OnTrainingMachine({ job, children }: { job: Job; children: ReactNode }) {
  return job.machine.training ? children : null;
}
