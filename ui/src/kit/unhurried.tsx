import { memo, useDeferredValue } from "react";
import type { ComponentType } from "react";

/** The same part of a page, drawn after the rest: a key shows what it did first, and then this part follows. */
export function unhurried<Props extends object>(Part: ComponentType<Props>): ComponentType<Props> {
  const Drawn = memo(Part);
  return function Unhurried(props: Props) {
    return <Drawn {...useDeferredValue(props)} />;
  };
}
