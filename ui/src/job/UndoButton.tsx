import { Button } from "../kit/Button";
import type { useUndo } from "./useUndo";

/** Takes the newest entry back, by touch or by the U key of its stage. */
export function UndoButton({ undo }: { undo: ReturnType<typeof useUndo> }) {
  return undo ? <Button hotkey="U" onPress={undo.take}>{`Undo: ${undo.word}`}</Button> : null;
}
