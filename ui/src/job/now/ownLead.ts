import type { NowCard } from "../../server/api";
import type { Shown } from "../StageProps";

/** Cards that a stage's page draws itself, with what belongs to them, by the start of their ids. */
const DRAWN: Partial<Record<Shown, string[]>> = {
  ask: ["finding.", "where", "route"],
  choose: ["fetch."],
  strip: ["step."],
  measure: ["verdict", "gauge."],
  build: ["step.", "facing."],
  fit: ["step.", "facing."],
  bleed: [
    "stroke",
    "beat.",
    "run",
    "topped_up",
    "colour",
    "done",
    "point.",
    "check.",
    "order",
    "tight",
    "report",
  ],
  feel: ["pull"],
};

/** How the button of such a panel looks while its step is the first card: Space does it. */
export const leadButton = (isLed: boolean) => (isLed ? ({ tone: "act", hotkey: "Space" } as const) : {});

/** The first card is a panel of the stage's page, and is not drawn a second time. */
export function hasOwnLead(stage: Shown, card: NowCard | undefined): boolean {
  return !card || (card.kind !== "go" && (DRAWN[stage] ?? []).some((start) => card.id.startsWith(start)));
}
