import type { Job, NewEntry, Stage } from "../server/api";
import { useOutbox } from "../server/useOutbox";
import { rememberPanel } from "./enteredAt";
import { rememberTogether } from "./sentTogether";

type Data = NewEntry["data"];

/** Writes to one stage of a job's journal. */
export function useEntries(job: Job, stage: Stage) {
  const outbox = useOutbox();
  const written = (entry: Parameters<typeof outbox.add>[1]) => {
    const id = outbox.add(job.id, entry);
    rememberPanel(id);
    return id;
  };
  const add = (kind: string, data: Data = {}) => written({ stage, kind, data });
  return {
    add,
    /** What one answer sends; one undo takes all of it back. */
    addAll: (entries: { kind: string; data: Data }[]) =>
      rememberTogether(entries.map(({ kind, data }) => add(kind, data))),
    undo: (corrects: string) => written({ stage, kind: "undo", data: {}, corrects }),
  };
}
