import { useDeferredValue } from "react";
import type { ReactNode } from "react";

/** Much to draw, and not what is looked at first: drawn when what stands before it is there. */
export function Later({ children }: { children: ReactNode }) {
  return useDeferredValue(true, false) ? <>{children}</> : null;
}
