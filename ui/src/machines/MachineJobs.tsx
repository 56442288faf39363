import { useInfiniteQuery } from "@tanstack/react-query";
import { Panel } from "../kit/layout";
import { JobList } from "../pieces/JobList";
import type { Machine } from "../server/api";
import { pagesOf } from "../server/pagesOf";
import { jobsOfMachineQuery } from "../server/queries";

/** Jobs on the circuit that is looked at, newest first; older ones are fetched when they are asked for. */
export function MachineJobs({ machine, circuitId }: { machine: Machine; circuitId: string | undefined }) {
  const query = useInfiniteQuery(jobsOfMachineQuery(machine.id));
  const { items, more } = pagesOf(query);
  const jobs = (query.data ? items : machine.jobs).filter((job) => job.circuit.id === circuitId);
  if (jobs.length === 0 && !more) return null;
  return (
    <Panel>
      <h2>Jobs on this circuit</h2>
      <JobList label="Jobs on this circuit" jobs={jobs} onMore={more} />
    </Panel>
  );
}
