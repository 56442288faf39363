import type { Job, NewEntry, Stage } from "../server/api";
import { useOutbox } from "../server/useOutbox";
import { rememberPanel } from "./enteredAt";

type Data = NewEntry["data"];

/** Writes to one stage of a job's journal. */
export function useEntries(job: Job, stage: Stage) {
  const outbox = useOutbox();
  const written = (entry: Parameters<typeof outbox.add>[1]) => {
    const id = outbox.add(job.id, entry);
    rememberPanel(id);
    return id;
  };
  return {
    add: (kind: string, data: Data = {}) => written({ stage, kind, data }),
    undo: (corrects: string) => written({ stage, kind: "undo", data: {}, corrects }),
  };
}
