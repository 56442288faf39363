import { useDeferredValue } from "react";

/**
 * Whether something has come that is much to draw. It is said a moment later, so that the first drawing is done piece by
 * piece: done in one go, it would hold up every key and tap meanwhile.
 */
export function useArrived(thing: unknown): boolean {
  const isThere = thing !== undefined;
  return useDeferredValue(isThere) && isThere;
}
