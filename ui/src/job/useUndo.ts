import type { Job, Stage } from "../server/api";
import { useEntries } from "./useEntries";

interface Recent {
  id: string;
  kind: string;
}

/** Takes the newest entry of a stage back; nothing to take back gives nothing to do. */
export function useUndo(
  job: Job,
  stage: Stage,
  recent: Recent[],
): { word: string; take: () => void } | undefined {
  const { undo } = useEntries(job, stage);
  const last = recent[recent.length - 1];
  return last ? { word: last.kind.replaceAll("_", " "), take: () => undo(last.id) } : undefined;
}
