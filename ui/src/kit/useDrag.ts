import { useRef } from "react";
import type { PointerEvent } from "react";

/**
 * Something that is dragged downwards and springs back: a lever.
 *
 * @param whole px of the whole way
 * @param onDrag told the share of the way while it is held, undefined when it is let go
 */
export function useDrag(whole: number, onDrag: ((share: number | undefined) => void) | undefined) {
  const from = useRef<number>(undefined);
  const release = () => {
    from.current = undefined;
    onDrag?.(undefined);
  };
  return {
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = event.clientY;
    },
    onPointerMove: (event: PointerEvent) => {
      if (from.current === undefined) return;
      onDrag?.(Math.min(Math.max((event.clientY - from.current) / whole, 0), 1));
    },
    onPointerUp: release,
    onLostPointerCapture: release,
  };
}
