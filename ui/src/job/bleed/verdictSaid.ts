import type { BleedVerdict, BleedVerdicts } from "../../server/api";
import type { MarkKind } from "../../kit/Mark";

/** What a verdict looks like and is called. */
export const VERDICTS: Record<BleedVerdict["verdict"], { kind: MarkKind; word: string }> = {
  suitable: { kind: "good", word: "carries it out" },
  workable: { kind: "warn", word: "works if" },
  leaves_air: { kind: "stop", word: "leaves air" },
  not_for: { kind: "stop", word: "not for this line" },
};

/** A verdict in a sentence: where air stays, and what would change that. */
export function verdictSaid(method: BleedVerdict, changes: BleedVerdicts["changes"]): string {
  if (method.verdict === "suitable") return "It carries the air of this line out.";
  if (method.verdict === "not_for") return method.why;
  const place = method.place ? `Air stays at: ${method.place}.` : "Air stays.";
  if (method.verdict === "leaves_air") return place;
  const ways = method.changes.map((change) => changes[change] ?? change);
  return `${place} It works with ${ways.join(method.together ? " and " : ", or ")}.`;
}

/** Why it stands where it stands, beside what becomes of the air. */
export function rankSaid(method: BleedVerdict): string[] {
  return [
    ...(method.wanting.length > 0 ? [`Not on the shelf: ${method.wanting.join(", ")}.`] : []),
    ...(method.short_of_hands ? ["Needs more people."] : []),
    ...(method.leaning > 0 ? ["Preferred by this shop."] : []),
    ...(method.leaning < 0 ? ["Not preferred by this shop."] : []),
  ];
}
