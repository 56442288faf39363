import { MoreButton } from "../kit/MoreButton";
import type { JobLine } from "../server/api";
import { JobRow } from "./JobRow";

interface Props {
  label: string;
  jobs: JobLine[];
  /** Fetches older ones; absent where there are none. */
  onMore?: (() => void) | undefined;
}

/** Jobs in a line each, and the way to the older ones. */
export function JobList({ label, jobs, onMore }: Props) {
  return (
    <>
      <ul aria-label={label}>
        {jobs.map((job) => (
          <JobRow key={job.id} job={job} />
        ))}
      </ul>
      <MoreButton onMore={onMore}>Show older ones</MoreButton>
    </>
  );
}
