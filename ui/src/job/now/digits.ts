import type { Hotkeys } from "../../kit/useHotkeys";
import type { NowAnswer, NowCard, NowRound } from "../../server/api";

/** The keys of the answers: nine digits, then nought, then letters that no other key of the view has. */
export const ANSWER_KEYS = ["1", "2", "3", "4", "5", "6", "7", "8", "9", "0", ..."bcdefghijklmnopqrstwxyz"];

/** A key for each answer of a card. */
export function digits(
  card: NowCard | undefined,
  keys: readonly string[],
  give: (answer: NowAnswer) => unknown,
): Hotkeys {
  return Object.fromEntries(
    (card?.answers ?? []).slice(0, keys.length).map((answer, place) => [keys[place], () => give(answer)]),
  );
}

/** A step that is done several times: Space does it once, the first digit all of them. */
export function timesOf({ act, all }: NowCard): NowRound | undefined {
  return act ? all : undefined;
}
