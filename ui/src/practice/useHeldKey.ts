import { useEffect, useRef } from "react";
import { isTyping } from "../kit/useHotkeys";

/** A key that is held as a hand holds a lever, wherever the focus is; let go when the work is over. */
export function useHeldKey(key: string, hold: (isHeld: boolean) => void): void {
  const latest = useRef(hold);
  useEffect(() => {
    latest.current = hold;
  });
  useEffect(() => {
    const isOurs = (event: KeyboardEvent) => event.key.toLowerCase() === key && !isTyping(event);
    const down = (event: KeyboardEvent) => {
      if (!isOurs(event)) return;
      // a button that has the focus is not pressed as well
      event.preventDefault();
      event.stopPropagation();
      if (!event.repeat) latest.current(true);
    };
    const up = (event: KeyboardEvent) => {
      if (!isOurs(event)) return;
      event.preventDefault();
      event.stopPropagation();
      latest.current(false);
    };
    // a window that is left hears no key come up
    const left = () => latest.current(false);
    window.addEventListener("keydown", down, { capture: true });
    window.addEventListener("keyup", up, { capture: true });
    window.addEventListener("blur", left);
    return () => {
      latest.current(false);
      window.removeEventListener("keydown", down, { capture: true });
      window.removeEventListener("keyup", up, { capture: true });
      window.removeEventListener("blur", left);
    };
  }, [key]);
}
