import type { Job, NewEntry, Stage } from "../app/api";
import { useOutbox } from "../app/useOutbox";

type Data = NewEntry["data"];

/** Writes to one stage of a job's journal. */
export function useEntries(job: Job, stage: Stage) {
  const outbox = useOutbox();
  return {
    add: (kind: string, data: Data = {}) => outbox.add(job.id, { stage, kind, data }),
    undo: (corrects: string) => outbox.add(job.id, { stage, kind: "undo", data: {}, corrects }),
  };
}
