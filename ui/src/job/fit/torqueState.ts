import type { TorqueLine } from "../../server/api";
import type { MarkKind } from "../../kit/Mark";

/** Where a line of the torque list stands, as a sign and a word. */
export function torqueState(line: TorqueLine, bleeds: boolean): { kind: MarkKind; word: string } {
  if (line.estimated) return { kind: "warn", word: "estimate" };
  if (line.snugged) return { kind: "good", word: "snug, by hand" };
  switch (line.verdict) {
    case "in":
      return { kind: "good", word: "in range" };
    case "under":
      return { kind: "stop", word: "under" };
    case "over":
      return { kind: "stop", word: "over" };
    case undefined:
      return { kind: "quiet", word: bleeds && line.when === "after" ? "after the bleed" : "to do" };
  }
}
