import { useEffect } from "react";

/** What lies behind a view that fills the screen is out of reach of Tab and of a screen reader while it is up. */
export const BEHIND = "data-behind";

export function useInert(): void {
  useEffect(() => {
    const behind = [...document.querySelectorAll<HTMLElement>(`[${BEHIND}]`)];
    behind.forEach((each) => (each.inert = true));
    return () => behind.forEach((each) => (each.inert = false));
  }, []);
}
