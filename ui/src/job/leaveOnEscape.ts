import type { KeyboardEvent } from "react";

/** Leaves a field, so that the keys of the page work again. */
export function leaveOnEscape(event: KeyboardEvent) {
  if (event.key === "Escape" && event.target instanceof HTMLElement) event.target.blur();
}
