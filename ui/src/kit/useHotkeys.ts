import { useEffect, useRef } from "react";

/** Keys to actions; a key is what `KeyboardEvent.key` says, lower case, with a space for the space bar. */
export type Hotkeys = Record<string, (() => void) | undefined>;

const TYPING = "input:not([type=radio], [type=checkbox]), textarea, select, [contenteditable]";

const PICKING = "[role=radiogroup], [role=listbox]";

/** The arrow goes to the next of a few answers that have the focus. */
const isPicking = (event: KeyboardEvent) =>
  event.key.startsWith("Arrow") && (event.target as HTMLElement).closest(PICKING) !== null;

/** The key is a letter of a text, not an action. */
export const isTyping = (event: KeyboardEvent) => (event.target as HTMLElement).closest(TYPING) !== null;

/**
 * Listens on the whole page, so that a foot switch that types a key works wherever the focus is; silent while text is
 * being typed and while a dialog is open. A held key counts once. The space bar acts here and never presses a focused
 * button or a picked answer as well; while it has nothing to do, it does not roll the page either.
 */
export function useHotkeys(hotkeys: Hotkeys): void {
  const latest = useRef(hotkeys);
  useEffect(() => {
    latest.current = hotkeys;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const action = latest.current[key];
      if (event.ctrlKey || event.altKey || event.metaKey) return;
      if (!action) {
        if (key in latest.current && event.target === document.body) event.preventDefault();
        return;
      }
      if (isTyping(event) || isPicking(event) || document.querySelector('[role="dialog"]')) return;
      event.preventDefault();
      event.stopPropagation();
      if (!event.repeat) action();
    };
    window.addEventListener("keydown", onKeyDown, { capture: true });
    return () => window.removeEventListener("keydown", onKeyDown, { capture: true });
  }, []);
}
