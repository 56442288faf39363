import type { Build } from "../server/api";
import { TradeText } from "../pieces/TradeText";
import { SignedList } from "../kit/SignedList";

/** What to mind before the step is done: reminders, and warnings with their sign. */
export function StepNotes({ notes }: { notes: Build["steps"][number]["notes"] }) {
  if (notes.length === 0) return null;
  return (
    <SignedList
      lines={notes.map(({ word, text }) => ({
        kind: word === "remind" ? "quiet" : "warn",
        text,
        said: <TradeText>{text}</TradeText>,
      }))}
    />
  );
}
