import { useHotkeys } from "../kit/useHotkeys";
import type { Job } from "../server/api";
import type { Shown } from "./StageProps";
import { useUndo } from "./useUndo";

interface Props {
  job: Job;
  stage: Shown;
  recent: { id: string; kind: string }[];
  isOpen: boolean;
}

/** U takes the last entry of any stage back; Bleed has its own, since its count runs ahead of the server. */
export function UndoKey({ job, stage, recent, isOpen }: Props) {
  const undo = useUndo(job, stage, recent);
  useHotkeys(isOpen && stage !== "bleed" ? { u: undo?.take } : {});
  return null;
}
