import type { Fit, Job } from "../../server/api";

/** What every panel of Fit is given. */
export interface FitProps {
  job: Job;
  fit: Fit;
  isOpen: boolean;
}
