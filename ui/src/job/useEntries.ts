import type { Job, NewEntry, Stage } from "../server/api";
import { useOutbox } from "../server/useOutbox";

type Data = NewEntry["data"];

/** Writes to one stage of a job's journal. */
export function useEntries(job: Job, stage: Stage) {
  const outbox = useOutbox();
  return {
    add: (kind: string, data: Data = {}) => outbox.add(job.id, { stage, kind, data }),
    undo: (corrects: string) => outbox.add(job.id, { stage, kind: "undo", data: {}, corrects }),
  };
}
