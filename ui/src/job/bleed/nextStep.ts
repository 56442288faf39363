import type { Bleed } from "../../server/api";

type Beat = NonNullable<Bleed["cycle"]["now"]>;

/** A nipple that was shut for a refill is opened again. */
export const OPEN_AGAIN = "open_again";

/** What Space does now: a step of the method, a whole stroke, a figure to enter, or a refill that the method has as a step. */
export type NextStep =
  { does: "beat"; beat: Beat } | { does: "run"; beat?: Beat } | { does: "topped_up" } | { does: "stroke" };

/**
 * The step whose turn it is. Once enough has passed and it ran clean, what comes last at a point. Where the reservoir is spent
 * the nipple is shut, and then nothing goes on by habit: that it was topped up, or that the port was uncovered, has its own key.
 * @param isEnough the point wants nothing more
 * @param isByBeat each step has its key; otherwise a whole stroke has one
 */
export function nextStep(bleed: Bleed, isEnough: boolean, isByBeat: boolean): NextStep | undefined {
  const { cycle, method, reservoir } = bleed;
  if (isEnough && cycle.last) return { does: "beat", beat: cycle.last };
  if (cycle.now?.records === "topped_up") return { does: "topped_up" };
  // what moves no fluid goes on whatever is left
  if (method.by_ml && cycle.now && !cycle.now.records && cycle.now.id !== OPEN_AGAIN)
    return { does: "beat", beat: cycle.now };
  const isOwnToShut = cycle.open && !cycle.runs_open;
  if (reservoir.spent && !isOwnToShut)
    return cycle.open && !cycle.refills_open ? { does: "beat", beat: SHUT } : undefined;
  if (cycle.now?.records === "run") return { does: "run", beat: cycle.now };
  const isWhole = !isByBeat && !method.by_ml && cycle.phase === "cycle" && cycle.now?.id !== OPEN_AGAIN;
  if (cycle.now && !isWhole) return { does: "beat", beat: cycle.now };
  return method.by_ml ? { does: "run" } : { does: "stroke" };
}

const SHUT: Beat = {
  id: "shut_refill",
  label: "Close",
  how: "before the refill",
};
