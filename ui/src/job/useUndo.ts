import type { Job, Stage } from "../server/api";
import { sentWith } from "./sentTogether";
import { undoWord } from "./undoWord";
import { useEntries } from "./useEntries";

interface Recent {
  id: string;
  kind: string;
}

/** Takes the newest entry of a stage back, with those that the same answer sent; nothing to take back gives nothing to do. */
export function useUndo(
  job: Job,
  stage: Stage,
  recent: Recent[],
): { word: string; take: () => void } | undefined {
  const { undo } = useEntries(job, stage);
  const last = recent[recent.length - 1];
  if (!last) return undefined;
  const together = sentWith(
    last.id,
    recent.map((each) => each.id),
  );
  return {
    word: together.length > 1 ? `all ${together.length}` : undoWord(last.kind),
    take: () => together.forEach((id) => undo(id)),
  };
}
