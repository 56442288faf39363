import { memo, useDeferredValue } from "react";
import type { ComponentType } from "react";

/**
 * The same part of a page, drawn again only after what a hand waits for is on show: until then it stands as it was.
 */
export function unhurried<Props extends object>(Part: ComponentType<Props>): ComponentType<Props> {
  const Drawn = memo(Part);
  return function Unhurried(props: Props) {
    return <Drawn {...useDeferredValue(props)} />;
  };
}
